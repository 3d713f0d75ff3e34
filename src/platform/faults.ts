// On globalThis: the framework loads what it runs apart from the server around it.
const held = globalThis as unknown as { jitenPageFaults?: number };

/** How many pages have failed since the application began. */
export const pageFaults = (): number => held.jitenPageFaults ?? 0;

export const notePageFault = (): void => {
  held.jitenPageFaults = pageFaults() + 1;
};
