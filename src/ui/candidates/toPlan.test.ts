import { changeSchema } from '@/contracts/plan';
import { planned } from '@/contracts/sheet';
import { stockPartOf } from '@/contracts/stock';
import { assemble } from '@/core/measure/assemble';
import { candidatesFor } from '@/core/selection/generate';
import { NO_LIMITS } from '@/core/selection/parts';
import { demoParts } from '../../../demo/shelf';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { planOf } from './toPlan';

const parts = demoParts((n) => `5a1e0009-0000-4000-8000-${String(n).padStart(12, '0')}`).map(stockPartOf);
const { input } = assemble(flatbedSheet([]));
const axle = { width: 70, front: 670, rear: 710, steered: false, arrangement: 'over' as const };
const candidates = candidatesFor(input, parts, axle, NO_LIMITS, 900);

test('every candidate becomes a plan the server takes, and the plan is solved from the very same figures', () => {
  expect(candidates.length).toBeGreaterThan(600);
  const ways = new Set(candidates.flatMap((c) => c.ways));
  for (const way of [
    'leafAdded',
    'leafMade',
    'leafOut',
    'block',
    'shackle',
    'pack',
    'donorPack',
    'donorLeaf',
    'eyes',
    'rearch',
  ])
    expect(ways).toContain(way);
  for (const candidate of candidates) {
    const rows = planOf(candidate, parts);
    for (const row of rows) expect(changeSchema.safeParse(row).error).toBeUndefined();
    const sheet = { ...flatbedSheet([]), changes: rows.map(planned) };
    // With their half-widths and where they come from: a candidate has one band, before and after it is the plan.
    const asPlanned = assemble(sheet).input.changes;
    const asFound = candidate.changes;
    expect(asPlanned).toHaveLength(asFound.length);
    asFound.forEach((change, k) => near(asPlanned[k], change, candidate.id));
  }
});

/** Every number of two trees alike, within a tape's breath. */
function near(one: unknown, other: unknown, where: string): void {
  if (typeof other === 'number') expect(Math.abs((one as number) - other)).toBeLessThan(0.06);
  else if (Array.isArray(other)) other.forEach((item, k) => near((one as unknown[])[k], item, `${where}.${k}`));
  else if (other !== null && typeof other === 'object')
    for (const [key, value] of Object.entries(other))
      near((one as Record<string, unknown>)[key], value, `${where}.${key}`);
  else expect(`${where} ${String(one)}`).toBe(`${where} ${String(other)}`);
}

test('what was taken from a part says so, and what is made names none', () => {
  const leaf = candidates.find((c) => c.ways.join() === 'leafAdded')!;
  expect(planOf(leaf, parts)[0]).toMatchObject({ partId: leaf.parts[0]!.id, partName: leaf.parts[0]!.name });
  const made = candidates.find((c) => c.ways.join() === 'leafMade')!;
  expect(planOf(made, parts)[0]).not.toHaveProperty('partId');
  // Of a pair each change names its own part.
  const pair = candidates.find((c) => c.ways.join() === 'leafAdded,shackle')!;
  expect(planOf(pair, parts).map((row) => 'partId' in row && row.partId)).toEqual(pair.parts.map((p) => p.id));
});
