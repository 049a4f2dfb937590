import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { addedLeafIndex } from './addedLeaf';
import { assumedParts } from './assumedParts';

test('what nobody measured is listed once, in words, and what was measured is not', () => {
  const full = assumedParts(assemble(flatbedSheet()).input);
  const hangs = 'that the eye hangs below the shackle’s pivot';
  expect(full).toEqual([
    'how much of the seat does not bend',
    'friction between the leaves',
    'track and spring base',
    hangs,
  ]);
  const sheet = flatbedSheet();
  const bare = {
    ...sheet,
    readings: sheet.readings.filter((r) => !['tubeDiameter', 'shackleLength'].includes(r.point)),
  };
  const listed = assumedParts(assemble(bare).input);
  expect(listed).toEqual(expect.arrayContaining(['axle tube diameter', 'shackle length']));
  expect(new Set(listed).size).toBe(listed.length);
});

test('the added leaf is marked at its place in the built pack', () => {
  // Six leaves of 1380, 1183, 986 … mm; the added one of 1110 mm comes third.
  expect(addedLeafIndex(assemble(flatbedSheet()).input)).toBe(2);
  expect(addedLeafIndex(assemble(flatbedSheet([{ kind: 'block', height: 20 }])).input)).toBeNull();
});
