import { scores, type Proven } from './record';

const row = (more: Partial<Proven>): Proven => ({
  ...{ suspension: 'longitudinalLeaf', kinds: ['addLeaf'], own: true, off: 4, half: 6, inside: true, guessOff: null },
  ...more,
});

test('a score tells how far off, which way it leans, and the share inside; a height counts once in each of its groups', () => {
  const rows = [
    row({ off: -4, guessOff: 20 }),
    row({ off: 8, inside: false, kinds: ['addLeaf', 'shackle', 'addLeaf'] }),
    row({ off: -2, kinds: ['block'], guessOff: -10 }),
  ];
  const by = scores(rows, (r) => r.kinds);
  expect(by.map(({ name, heights }) => [name, heights])).toEqual([
    ['addLeaf', 2],
    ['block', 1],
    ['shackle', 1],
  ]);
  expect(by[0]).toMatchObject({ off: 6, lean: 2, inside: 0.5, guess: { heights: 1, off: 20 } });
  expect(by[2]).toMatchObject({ inside: 0, guess: null });
});
