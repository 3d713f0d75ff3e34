/** The day sheet: what each feature has to say for today, in order. */
export {};
