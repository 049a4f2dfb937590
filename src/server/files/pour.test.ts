import { pour, SlowReader } from './pour';

async function* file(pieces: number, told: { made: number; ended: boolean }) {
  try {
    for (; told.made < pieces; told.made += 1) yield `${told.made}\n`;
  } finally {
    told.ended = true;
  }
}

test('a file is made no faster than it is read, and one that nobody reads is left, with what it held given back', async () => {
  const { readable, writable } = new TransformStream<string, string>();
  const told = { made: 0, ended: false };
  const poured = pour(file(1000, told), writable.getWriter(), { patience: 50 });
  const reader = readable.getReader();
  const read = [];
  for (let n = 0; n < 3; n++) read.push((await reader.read()).value);
  expect(read).toEqual(['0\n', '1\n', '2\n']);
  await expect(poured).rejects.toBeInstanceOf(SlowReader);
  expect(told.made).toBeLessThan(10);
  expect(told.ended).toBe(true);
});

test('a reader who takes a little now and then cannot hold it for ever', async () => {
  const slow = { ready: Promise.resolve(), write: () => new Promise<void>((done) => setTimeout(done, 20)) };
  const told = { made: 0, ended: false };
  await expect(pour(file(1000, told), slow, { patience: 1000, longest: 100 })).rejects.toBeInstanceOf(SlowReader);
  expect(told.ended).toBe(true);
});
