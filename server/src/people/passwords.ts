/** Loaded when somebody first signs in. */
const argon2 = () => import('@node-rs/argon2');

/**
 * Argon2id with 19 MiB, two passes, one lane: the first of the equal settings that the OWASP Password Storage Cheat Sheet (2025) names.
 * Argon2id is what this package hashes with unless it is told otherwise.
 */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** @returns algorithm, cost, salt and hash in one text (PHC string format) */
export const hashOfPassword = async (password: string): Promise<string> =>
  (await argon2()).hash(password.normalize('NFKC'), COST);

let nobodys: Promise<string> | null = null;

/** Where nobody or no password is known it takes as long, so that time does not tell whether an account exists. */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  nobodys ??= hashOfPassword('nobody has this one');
  const isRight = await (await argon2()).verify(kept ?? (await nobodys), password.normalize('NFKC'));
  return isRight && kept !== null;
}
