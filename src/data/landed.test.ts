import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = 'src/data/migrations';
const landed = JSON.parse(readFileSync('src/data/landed.json', 'utf8')) as Record<string, string>;
const files = readdirSync(FOLDER).filter((name) => name.endsWith('.sql'));

test.each(Object.entries(landed))('landed migration %s is as it landed', (name, hash) => {
  const sql = readFileSync(join(FOLDER, name));
  expect(createHash('sha256').update(sql).digest('hex')).toBe(hash);
});

test('every migration is written down when it lands, and numbered without a gap', () => {
  expect(files.sort()).toEqual(Object.keys(landed).sort());
  expect(files.map((name) => Number(name.slice(0, 4)))).toEqual(files.map((_, i) => i + 1));
});
