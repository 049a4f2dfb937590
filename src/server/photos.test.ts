import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { developed, LARGEST } from './photos';

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 4, background: { r: 90, g: 60, b: 30, alpha: 0.5 } } });

test.each([
  [4000, 3000, 1600, 1200],
  [900, 2400, 600, 1600],
  [320, 200, 320, 200],
])('%d × %d becomes %d × %d, a JPEG with the hash of its own bytes', async (w, h, width, height) => {
  const small = await developed(await picture(w, h).png().toBuffer());
  expect(small).toMatchObject({ width, height });
  expect((await sharp(small.jpeg).metadata()).format).toBe('jpeg');
  expect(createHash('sha256').update(small.jpeg).digest('hex')).toBe(small.sha256);
});

test('the same file gives the same picture; place and camera written into it are gone', async () => {
  const file = await picture(600, 400)
    .jpeg()
    .withMetadata({ exif: { IFD0: { Make: 'Test', Copyright: 'here' } } })
    .toBuffer();
  const [one, two] = [await developed(file), await developed(file)];
  expect(one.sha256).toBe(two.sha256);
  expect((await sharp(one.jpeg).metadata()).exif).toBeUndefined();
});

test.each([
  ['nothing', Buffer.alloc(0), 'empty-file'],
  ['text', Buffer.from('a torque table, not a picture'), 'no-picture'],
  ['too much', Buffer.alloc(LARGEST + 1), 'too-large'],
])('%s is refused', async (_, file, code) => {
  await expect(developed(file)).rejects.toMatchObject({ problem: { code, field: 'file' } });
});

test('a picture cut off in the middle is refused, not half stored', async () => {
  const whole = await picture(1200, 900).jpeg().toBuffer();
  await expect(developed(whole.subarray(0, whole.length >> 1))).rejects.toMatchObject({
    problem: { code: 'no-picture' },
  });
});

test('only what a camera writes is read: a drawing that is a program, a film and a new codec are refused at once', async () => {
  const svg = Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="9000" height="9000"><filter id="a"><feTurbulence baseFrequency="0.9" numOctaves="40"/></filter><rect width="9000" height="9000" filter="url(#a)"/></svg>`,
  );
  const gif = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64');
  const from = performance.now();
  for (const file of [svg, gif])
    await expect(developed(file)).rejects.toMatchObject({ problem: { code: 'no-picture' } });
  // Drawn, the first takes half a minute.
  expect(performance.now() - from).toBeLessThan(5000);
  for (const kind of ['png', 'webp', 'tiff'] as const)
    expect(await developed(await picture(60, 40).toFormat(kind).toBuffer())).toMatchObject({ width: 60 });
});

test('a picture of too many pixels is refused unread; of very many at once the last are turned away, none is half done', async () => {
  const file = await picture(1200, 900).jpeg().toBuffer();
  const all = await Promise.allSettled(Array.from({ length: 20 }, () => developed(file)));
  const away = all.filter((one) => one.status === 'rejected');
  expect(away).toHaveLength(6);
  for (const one of away) expect(one.reason).toMatchObject({ status: 429, problem: { code: 'busy' } });
  const wide = await sharp({ create: { width: 12_000, height: 8000, channels: 3, background: 'white' } })
    .png()
    .toBuffer();
  await expect(developed(wide)).rejects.toMatchObject({ problem: { code: 'no-picture' } });
});
