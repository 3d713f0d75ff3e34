/** Under which key a person’s wishes wait on this device: the shell looks whether there are any, the clinic asks them. */
export const wishesKey = (person: string): string => `jiten-wishes-${person}`;
