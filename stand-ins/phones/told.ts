/** What a script found: in words, and whether it is as promised. */
export type Told = { said: string; good: boolean };
