// Where the bytes of pictures lie: in their own rows, or in a store beside the database that speaks the common language of buckets.
import { createHash } from 'node:crypto';
import { AwsClient } from 'aws4fetch';
import { type KeptPicture } from '@/data/picture';
import { ProblemError } from '@/contracts/problem';

/** One way to keep pictures. What is kept once under a hash never changes. */
export interface PictureStore {
  /** Keeps bytes before the row that names them is written; the same again is nothing new. @returns what the row itself is to hold */
  keep: (shop: string, sha256: string, jpeg: Buffer) => Promise<Buffer | null>;
  /** The bytes of a row. @throws ProblemError `busy` while the store does not answer */
  fetch: (shop: string, row: KeptPicture) => Promise<Buffer>;
}

const inRows: PictureStore = {
  keep: (_, __, jpeg) => Promise.resolve(jpeg),
  fetch: (_, { jpeg }) =>
    jpeg
      ? Promise.resolve(jpeg)
      : Promise.reject(new Error('this picture lies in a store that was not named: GRAVELWORT_BUCKET')),
};

/** A picture of some hundred kilobytes that takes longer than this will not come, ms. */
const LONGEST = 8000;

const away = () =>
  new ProblemError(
    503,
    { code: 'busy', message: 'The store of pictures does not answer just now. Nothing was saved; try again.' },
    5,
  );

/** Objects below one address, named by shop and hash. Rows of before keep their own bytes. */
function inBucket(address: string, key: string, secret: string, region: string): PictureStore {
  const client = new AwsClient({ accessKeyId: key, secretAccessKey: secret, region, service: 's3', retries: 2 });
  const ask = async (shop: string, sha256: string, put?: Buffer) => {
    const response = await client
      .fetch(`${address.replace(/\/$/, '')}/${shop}/${sha256}.jpg`, {
        method: put ? 'PUT' : 'GET',
        signal: AbortSignal.timeout(LONGEST),
        ...(put && { body: new Uint8Array(put), headers: { 'Content-Type': 'image/jpeg' } }),
      })
      .catch(() => undefined);
    if (!response?.ok) throw away();
    return response;
  };
  return {
    keep: async (shop, sha256, jpeg) => {
      await ask(shop, sha256, jpeg);
      return null;
    },
    fetch: async (shop, { jpeg, sha256 }) => {
      if (jpeg) return jpeg;
      const body = Buffer.from(await (await ask(shop, sha256)).arrayBuffer());
      if (createHash('sha256').update(body).digest('hex') !== sha256)
        throw new Error('the store of pictures gave other bytes than were kept');
      return body;
    },
  };
}

/** The store of this server: a bucket where one is named, the rows themselves otherwise. */
export function pictures(): PictureStore {
  const { GRAVELWORT_BUCKET, GRAVELWORT_BUCKET_KEY, GRAVELWORT_BUCKET_SECRET, GRAVELWORT_BUCKET_REGION } = process.env;
  return GRAVELWORT_BUCKET
    ? inBucket(
        GRAVELWORT_BUCKET,
        GRAVELWORT_BUCKET_KEY ?? '',
        GRAVELWORT_BUCKET_SECRET ?? '',
        GRAVELWORT_BUCKET_REGION ?? 'auto',
      )
    : inRows;
}
