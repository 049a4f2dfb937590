// Pictures: read, turned upright, made small, stored with their hash.
import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { type JobView } from '@/contracts/job';
import { ProblemError } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import { insertPhoto } from '@/data/inspect';
import { requireRoom } from '@/data/room';
import { type InTx } from './http';
import { Line } from './line';
import { loadJob } from './jobs';
import { pictures } from './pictures';

/** Longest side of a stored picture, px. */
const LONGEST = 1600;
/** Largest file taken in, bytes. */
export const LARGEST = 15_000_000;
/** Pixels a file may unpack to; more is a mistake or an attack. */
const MOST_PIXELS = 80_000_000;
/** A picture takes a second; one that takes longer than this was made to, s. */
const LONGEST_WORK = 15;
/** Pictures worked on at once, each on one thread, and as many as may wait: the pages keep the rest of the machine. */
const AT_ONCE = 2;
const MAY_WAIT = 12;

// Of all that the library reads only what a camera or a phone writes: no drawing that is a program, no film.
sharp.block({ operation: ['VipsForeignLoad'] });
sharp.unblock({
  operation: ['Jpeg', 'Png', 'Webp', 'Tiff'].map((kind) => `VipsForeignLoad${kind}Buffer`),
});
sharp.concurrency(1);
const line = new Line(AT_ONCE, MAY_WAIT);

const refused = (status: number, code: string, message: string) =>
  new ProblemError(status, { code, message, field: 'file' });

/** A camera's file as a plain JPEG: upright, at most 1600 px, without the place and device the camera wrote into it. */
export async function developed(
  file: Buffer,
): Promise<{ jpeg: Buffer; width: number; height: number; sha256: string }> {
  if (file.length === 0) throw refused(400, 'empty-file', 'The file is empty.');
  if (file.length > LARGEST) throw refused(413, 'too-large', 'The picture is larger than 15 MB. Send a smaller one.');
  return line.run(() => unpacked(file));
}

async function unpacked(file: Buffer) {
  try {
    const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .timeout({ seconds: LONGEST_WORK })
      .rotate()
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 80 })
      .toBuffer({ resolveWithObject: true });
    const sha256 = createHash('sha256').update(data).digest('hex');
    return { jpeg: data, width: info.width, height: info.height, sha256 };
  } catch {
    throw refused(415, 'no-picture', 'This file cannot be read as a picture. JPEG, PNG, WebP and TIFF are taken.');
  }
}

/** Whether bytes are a JPEG from beginning to end, as this program keeps them. */
export const readsAsPicture = (file: Buffer): Promise<boolean> =>
  line.run(async () => {
    try {
      const picture = sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).timeout({
        seconds: LONGEST_WORK,
      });
      const { format, width, height, exif } = await picture.metadata();
      await picture.stats();
      return format === 'jpeg' && Math.max(width, height) <= LONGEST && exif === undefined;
    } catch {
      return false;
    }
  });

/** Stores a picture of a job; the slow part runs outside the transaction. A retry with the same id stores nothing twice. */
export async function addPhoto(
  inTx: InTx,
  jobAxleId: string,
  given: { id: string; subject: string; caption: string; file: Buffer },
): Promise<JobView> {
  const { jpeg, ...picture } = await developed(given.file);
  const { id, subject, caption } = given;
  const room = async (tx: Tx) => {
    await loadJob(tx, jobAxleId);
    await requireRoom(tx, 'photo', jobAxleId);
    return tx.shop;
  };
  const kept = await pictures().keep(await inTx(room), picture.sha256, jpeg);
  return inTx(async (tx) => {
    await room(tx);
    await insertPhoto(tx, jobAxleId, { id, subject, caption, ...picture, jpeg: kept });
    return loadJob(tx, jobAxleId);
  });
}
