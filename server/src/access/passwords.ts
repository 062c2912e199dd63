import { hash, verify } from '@node-rs/argon2';
import { ProblemError } from '../problems/ProblemError.ts';

/** KiB, passes, lanes: the least that OWASP's Password Storage Cheat Sheet asks of Argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** NIST SP 800-63B asks for eight characters at least and sixty-four at most to be allowed. */
const PASSWORD_LENGTH = { least: 10, most: 200 } as const;

/** Half of a pair of code units. */
const BROKEN = /\p{Surrogate}/u;

/** A text of whole characters in one form: halves of a pair would all be taken for the same. */
function wholeText(password: string): string {
  if (BROKEN.test(password)) {
    throw new ProblemError(422, 'weak-password', 'This cannot be used.', [
      {
        code: 'weak-password',
        path: ['password'],
        message: 'The password holds a broken character.',
        remedy: 'Type it anew.',
      },
    ]);
  }
  return password.normalize('NFKC');
}

/** @throws ProblemError 422 for a password that is too short or too long */
export async function hashPassword(password: string): Promise<string> {
  const text = wholeText(password);
  if (text.length < PASSWORD_LENGTH.least || text.length > PASSWORD_LENGTH.most) {
    throw new ProblemError(422, 'weak-password', 'This cannot be used.', [
      {
        code: 'weak-password',
        path: ['password'],
        message: `A password has ${PASSWORD_LENGTH.least} to ${PASSWORD_LENGTH.most} characters.`,
        remedy: 'Three or four words are long enough and easily kept in mind.',
      },
    ]);
  }
  return hash(text, COST);
}

/** Takes as long for a name that nobody has: else time would tell which names there are. */
const NOBODY = hash('nobody has this password', COST);

/** Whether a password is the one of a hash. @param kept - null for a name that nobody has */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  if (BROKEN.test(password) || password.length > PASSWORD_LENGTH.most) return false;
  const right = await verify(kept ?? (await NOBODY), password.normalize('NFKC')).catch(() => false);
  return right && kept !== null;
}
