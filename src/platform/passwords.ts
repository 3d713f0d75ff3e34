import { hash, verify } from '@node-rs/argon2';

// argon2id with 19 MiB, 2 passes: the OWASP password storage cheat sheet's minimum (published).
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, OPTIONS);

export const checkPassword = (stored: string, password: string): Promise<boolean> => verify(stored, password);

let decoy: Promise<string> | undefined;

/** Takes as long as a real check, so that an unknown name cannot be told from a wrong password. */
export async function checkNothing(password: string): Promise<void> {
  decoy ??= hashPassword('nobody has this password');
  await verify(await decoy, password);
}
