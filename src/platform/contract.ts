import './validation-words';
import type { z } from 'zod';

/**
 * A write as browser and server both know it: its name, what it takes, what it answers, and
 * what takes it back. The server adds who may and what is done (`operation`).
 */
export type Contract<I extends z.ZodType = z.ZodType, R = unknown> = {
  readonly name: string;
  readonly input: I;
  /** For the compiler only: what it answers when it was carried out. */
  readonly answer?: R;
  /** It is no operation: somebody without a session sends it through this door. */
  readonly door?: string;
  /** What it says may be so long, in bytes; a megabyte unless said. */
  readonly bodyBytes?: number;
  /** A file goes with it: at most so many bytes. */
  readonly fileBytes?: number;
  /** What it says is a secret: not even a hash of it is kept. */
  readonly secret?: true;
  /** It can be said without a network: kept on the device, and sent when the server can be reached. */
  readonly keep?: Keeping<z.input<I>>;
  /** The write that takes this one back, from what was sent and answered. */
  inverse?(sent: z.input<I>, answered: R): Call;
};

/** How a write is kept on a device. */
export type Keeping<I> = {
  /** Which page it belongs to, as in "firing/<id>". */
  about: (input: I) => string;
  /** What it is, for its writer, while it waits. */
  label: (input: I) => string;
  /** What is sent where the server doubts it and its writer says that it is so. */
  anyway?: (input: I) => I;
};

/** A write with what it takes, ready to be sent. */
export type Call = { contract: Contract; input: unknown };

/** What a contract takes, as a form holds it. */
export type Taken<C extends Contract> = z.input<C['input']>;
/** What a contract answers. */
export type Answered<C extends Contract> = C extends Contract<z.ZodType, infer R> ? R : never;

/** Says what a contract answers; it holds nothing. */
export const answers = <R>(): { answer?: R } => ({});

/** The one way to name a write; without `answers` it answers nothing. */
export const contract = <I extends z.ZodType, R = null>(
  name: string,
  input: I,
  _answers?: { answer?: R },
): Contract<I, R> => ({ name, input });

/** A way in for somebody who has no session yet. */
export const doorway = <I extends z.ZodType>(door: string, input: I): Contract<I, null> => ({
  name: `door.${door}`,
  door,
  input,
});

/** A write that has more to say than others, of at most so many bytes. */
export const withMuch = <I extends z.ZodType, R>(one: Contract<I, R>, bodyBytes: number): Contract<I, R> => ({
  ...one,
  bodyBytes,
});

/** A write that says a password: a hash that is quickly made would give it away to whoever has a backup. */
export const withSecret = <I extends z.ZodType, R>(one: Contract<I, R>): Contract<I, R> => ({
  ...one,
  secret: true,
});

/** A write that a file goes with, of at most so many bytes. */
export const withFile = <I extends z.ZodType, R>(one: Contract<I, R>, fileBytes: number): Contract<I, R> => ({
  ...one,
  fileBytes,
});

/** A write that the same write takes back with `field` turned round: binned and taken out again. */
export const toggled = <I extends z.ZodType, R>(
  one: Contract<I, R>,
  field: keyof z.input<I> & string,
): Contract<I, R> => ({
  ...one,
  inverse: (sent) => {
    const input = sent as Record<string, unknown>;
    return { contract: one, input: { ...input, [field]: input[field] !== true } };
  },
});

/**
 * A write that can be said without a network: then there is no answer yet, and whoever says it is told so.
 */
export const kept = <I extends z.ZodType, R>(
  one: Contract<I, R>,
  keep: Keeping<z.input<I>>,
): Contract<I, R> => ({ ...one, keep });

/** A write that another one takes back. */
export const undoneBy = <I extends z.ZodType, R, J extends z.ZodType>(
  one: Contract<I, R>,
  other: Contract<J, unknown>,
  input: (sent: z.input<I>, answered: R) => z.input<J>,
): Contract<I, R> => ({
  ...one,
  inverse: (sent, answered) => ({ contract: other, input: input(sent, answered) }),
});
