/** A reader who has taken nothing for so long is not waited for any more, ms. */
const PATIENCE = 30_000;
/** However steadily it is read, a file is through by then, ms. */
const LONGEST = 600_000;

/** Who reads a file is too slow to be waited for: what makes it holds a connection to the database. */
export class SlowReader extends Error {}

/**
 * Writes a file piece by piece as it is made and read.
 * @throws SlowReader when nothing is taken for `patience`, or it is not through within `longest`; whatever making or writing it throws
 */
export async function pour(
  pieces: AsyncIterable<string>,
  to: Pick<WritableStreamDefaultWriter<string>, 'ready' | 'write'>,
  { patience = PATIENCE, longest = LONGEST } = {},
): Promise<void> {
  const end = performance.now() + longest;
  for await (const piece of pieces) {
    await within(patience, to.ready);
    await within(patience, to.write(piece));
    if (performance.now() > end) throw new SlowReader('A file was not read to its end in time.');
  }
}

async function within(patience: number, wait: Promise<void>): Promise<void> {
  let late: NodeJS.Timeout | undefined;
  const gone = new Promise<never>((_, reject) => {
    late = setTimeout(() => reject(new SlowReader('Nobody reads what was asked for.')), patience);
  });
  try {
    await Promise.race([wait, gone]);
  } finally {
    clearTimeout(late);
  }
}
