import { thumbRise } from '@/core/followup/thumb';
import { type Proven } from './record';
import { scores } from './scores';

const row = (more: Partial<Proven>): Proven => ({
  ...{
    suspension: 'longitudinalLeaf',
    kinds: ['addLeaf'],
    own: true,
    person: null,
    off: 4,
    half: 6,
    inside: true,
    guessOff: null,
  },
  ...{ rose: null, thumb: { arrangement: 'over', block: 0, shackle: 110, changes: [] } },
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

test('a rule of thumb is held against the same tape where it says anything, and says nothing of a pack', () => {
  const change = (kind: string, of: object) => ({ kind, height: null, length: null, thickness: null, ...of });
  const told = (arrangement: 'over' | 'under', ...changes: ReturnType<typeof change>[]) =>
    thumbRise({ arrangement, block: 20, shackle: 110, changes });
  expect(told('over', change('block', { height: 50 }), change('shackle', { length: 150 }))).toBe(50);
  expect(told('under', change('block', { height: 50 }))).toBe(-30);
  expect(told('over', change('addLeaf', { thickness: 8 }), change('pack', {}))).toBeNull();
  expect(told('over')).toBeNull();
  const thumb = {
    arrangement: 'over' as const,
    block: 0,
    shackle: 110,
    changes: [change('addLeaf', { thickness: 8 })],
  };
  const [leaf] = scores([row({ rose: 30, thumb }), row({ rose: 4, thumb }), row({})], (r) => r.kinds);
  expect(leaf!.thumb).toEqual({ heights: 2, off: 13 });
});
