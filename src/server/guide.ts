import 'server-only';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

const DOCS = join(process.cwd(), 'docs');

/** The guide as it is written. */
export const guideText = (): Promise<string> => readFile(join(DOCS, 'guide.md'), 'utf8');

/** One of its pictures; null where there is none of that name. @param name of letters and hyphens, without a path */
export async function guidePicture(name: string): Promise<Buffer | null> {
  if (!/^[a-z-]+\.png$/.test(name)) return null;
  return readFile(join(DOCS, 'screenshots', name)).catch(() => null);
}
