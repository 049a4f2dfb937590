import { planned } from '@/contracts/sheet';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { candidatesFor } from '@/core/selection/generate';
import { NO_LIMITS, type StockPart } from '@/core/selection/parts';
import { changesOf } from '@/core/selection/changesOf';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { planOf } from './toPlan';

const PLAIN: StockPart = {
  ...{ id: 'p', kind: 'leaf', name: 'part', price: 20, days: 0, used: false, rating: null, form: null, width: 70 },
  ...{ leaves: [], freeArch: null, eyeBore: null, height: null, dowel: 15, dowelHole: 15.5 },
  ...{ betweenBolts: null, insideWidth: null },
};
const leaf = (front: number, rear: number, camber: number | null, eyes: 'none' | 'both' = 'none') => ({
  ...{ front, rear, thickness: 8, camber, eyes, clip: false },
});

test('a candidate and the plan made of it are the same to the core: sizes, how well they are known, and so the band', () => {
  const sheet = flatbedSheet([]);
  const { input } = assemble(sheet);
  const [front, rear] = [input.pack!.leaves[0]!.front.value, input.pack!.leaves[0]!.rear.value];
  const parts: StockPart[] = [
    { ...PLAIN, id: 'known', leaves: [leaf(420, 440, 90)] },
    // Its leaves' own cambers nobody read: they are reckoned from the free arch of the pack.
    {
      ...{ ...PLAIN, id: 'donor', kind: 'pack', freeArch: 130, form: 'upturned', eyeBore: 32 },
      leaves: [leaf(front, rear, null, 'both'), leaf(480, 500, null), leaf(300, 310, 70)],
    },
    { ...PLAIN, id: 'block', kind: 'block', height: 40 },
    { ...PLAIN, id: 'shackle', kind: 'shackle', betweenBolts: 140, insideWidth: 72 },
  ];
  const axle = { width: 70, front, rear, steered: false, arrangement: 'over' as const };
  const found = candidatesFor(input, parts, axle, NO_LIMITS, 2000);
  expect(new Set(found.flatMap((c) => c.sources.filter(Boolean)))).toEqual(new Set(parts.map((p) => p.id)));
  for (const candidate of found) {
    const rows = planOf(candidate, parts).map((row) => planned(row));
    expect(assemble({ ...sheet, changes: rows }).input.changes).toEqual(changesOf(input, candidate));
  }
});
