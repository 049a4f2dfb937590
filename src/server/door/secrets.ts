// What a secret is turned into before it is stored or compared. Tokens are random and long: a plain hash keeps them; what a person thinks up needs a slow one.
import { createHash, createHmac, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { ProblemError } from '@/contracts/problem';
import { Line } from '../line';

/** Argon2id (the package's default kind), 19 MiB, two rounds, one lane: OWASP Password Storage Cheat Sheet, from memory. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** A hash takes some 40 ms of a core: so many at once, so many may wait. */
const line = new Line(2, 40);

export const newToken = (): string => randomBytes(32).toString('base64url');
export const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();

/** A PIN is short: a stolen copy of the database alone must not give it away. */
const peppered = (kind: 'password' | 'pin', secret: string): string => {
  if (kind === 'password') return secret.normalize('NFC');
  const pepper = process.env.GRAVELWORT_SECRET ?? '';
  if (pepper.length < 32)
    throw new ProblemError(503, {
      code: 'no-secret',
      message: 'PINs are off: this server has no secret of its own (GRAVELWORT_SECRET). Use the password.',
    });
  return createHmac('sha256', pepper).update(secret).digest('base64');
};

export const hashSecret = (kind: 'password' | 'pin', secret: string): Promise<string> => {
  const given = peppered(kind, secret);
  return line.run(() => hash(given, COST));
};

let nobody: Promise<string> | undefined;

/** Whether a secret is the one that was stored. Takes as long when nothing was. */
export async function isSecret(kind: 'password' | 'pin', secret: string, stored: string | undefined): Promise<boolean> {
  const given = peppered(kind, secret);
  nobody ??= hash(newToken(), COST);
  const against = stored ?? (await nobody);
  return line.run(async () => (await verify(against, given)) && stored !== undefined);
}

/** A password to tell once: four groups of a reduced alphabet, about 78 bits. */
export function sayablePassword(): string {
  const signs = 'abcdefghkmnpqrstuvwxyz23456789';
  // Above the last whole multiple some signs would come more often.
  const fair = 256 - (256 % signs.length);
  let text = '';
  while (text.length < 16)
    for (const byte of randomBytes(16)) if (byte < fair && text.length < 16) text += signs[byte % signs.length]!;
  return text.match(/.{4}/g)!.join('-');
}
