import { buffer } from 'node:stream/consumers';
import yauzl from 'yauzl';
import yazl from 'yazl';

/** The same files give the same bytes, whenever and wherever they are packed. */
const NO_TIME = { mtime: new Date(1980, 0, 1), forceDosTimestamp: true, mode: 0o100644 };

export interface Packed {
  name: string;
  body: Buffer;
  /** Pictures are small already. */
  compress: boolean;
}

export async function zipped(files: readonly Packed[]): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const { name, body, compress } of files) zip.addBuffer(body, name, { ...NO_TIME, compress });
  zip.end();
  return buffer(zip.outputStream);
}

/** What may come out of a zip. */
export interface ZipLimits {
  entries: number;
  /** Bytes of all files together; what a file says of its own size is held against what comes out of it. */
  bytes: number;
  /** Whether a file of this name and size is looked for at all. */
  wanted: (name: string, size: number) => boolean;
}

/**
 * The files of a zip, in memory and nowhere else; the first that is not wanted ends it.
 * @throws Error in words: not a zip, too much in it, something that does not belong there
 */
export async function unzipped(file: Buffer, { entries, bytes, wanted }: ZipLimits): Promise<Map<string, Buffer>> {
  const zip = await yauzl.fromBufferPromise(file, {
    lazyEntries: true,
    validateEntrySizes: true,
    strictFileNames: true,
  });
  if (zip.entryCount > entries) throw new Error(`it holds ${zip.entryCount} files, more than a job has`);
  const found = new Map<string, Buffer>();
  let size = 0;
  for await (const entry of zip.eachEntry()) {
    const { fileName, uncompressedSize } = entry;
    size += uncompressedSize;
    if (size > bytes || !wanted(fileName, uncompressedSize))
      throw new Error(`“${fileName.slice(0, 60)}” does not belong in it, or is too large`);
    if (found.has(fileName)) throw new Error(`“${fileName.slice(0, 60)}” is in it twice`);
    found.set(fileName, await buffer(await zip.openReadStreamPromise(entry)));
  }
  return found;
}
