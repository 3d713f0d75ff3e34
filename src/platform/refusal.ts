/** Why an operation was not carried out, in words for the person, beside the fields concerned. */
export type Problem = {
  code:
    | 'invalid'
    | 'not-signed-in'
    /** Somebody else is signed in on this device than the page was made for. */
    | 'other-person'
    | 'not-allowed'
    | 'not-found'
    | 'conflict'
    /**
     * The same act was asked for with other words, and is on record with the first; `details` is its answer.
     */
    | 'arrived'
    | 'too-many'
    | 'too-large'
    | 'no-room'
    | 'database-away'
    | 'failed';
  message: string;
  /** Message by field path, as in "layers.0.coats". */
  fields?: Record<string, string>;
  /** What the person needs to resolve a conflict. */
  details?: unknown;
};

/** Thrown inside an operation to roll it back and tell the person why. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.message);
  }
}

export const refuse = (message: string, fields?: Record<string, string>): Refusal =>
  new Refusal({ code: 'invalid', message, ...(fields ? { fields } : {}) });

export const notFound = (what: string): Refusal =>
  new Refusal({
    code: 'not-found',
    message: `${what} is not there any more. It may have been removed meanwhile.`,
  });

export const conflict = (message: string, details?: unknown): Refusal =>
  new Refusal({ code: 'conflict', message, details });

/** What was looked for, or a refusal that says it is gone. */
export function found<T>(value: T | null | undefined, what: string): T {
  if (value === null || value === undefined) throw notFound(what);
  return value;
}
