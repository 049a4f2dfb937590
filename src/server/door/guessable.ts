// Whether a password is one of those that are tried first: in lists of broken ones, on a row of keys, a date, a name of the place.
import { ProblemError } from '@/contracts/problem';

/** The least of zxcvbn's five steps, 0 to 4, that is taken: from about a hundred million guesses on. */
const LEAST = 3;
/** What is judged; a longer one is no easier to guess, and judging takes longer than in proportion. */
const JUDGED = 40;

type Judge = { check: (password: string, words: string[]) => { score: number } };
let judge: Promise<Judge> | undefined;

/** Read when somebody chooses a password for the first time: the lists are large. */
const loaded = (): Promise<Judge> =>
  (judge ??= Promise.all([import('@zxcvbn-ts/core'), import('@zxcvbn-ts/language-common')]).then(
    ([{ ZxcvbnFactory }, { dictionary, adjacencyGraphs }]) =>
      new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs }),
  ));

/** @param words names of this person and shop, worth nothing in a password @throws ProblemError 400 at the field `password` */
export async function requireHardToGuess(password: string, words: readonly (string | null)[]): Promise<void> {
  const own = ['gravelwort', ...words.flatMap((word) => (word === null ? [] : [word, ...word.split(/\s+/)]))];
  const { score } = (await loaded()).check(password.normalize('NFC').slice(0, JUDGED), own);
  if (score < LEAST)
    throw new ProblemError(400, {
      code: 'bad-input',
      message: 'This is one that is tried first. Three or four words that do not belong together are hard to guess.',
      field: 'password',
    });
}
