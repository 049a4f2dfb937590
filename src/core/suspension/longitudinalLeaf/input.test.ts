import { flatbedSheet } from '../../../../tests/reference/sheets';
import { assemble } from './assemble';
import { draw, estimatesOf } from '../../estimate/tree';
import { inputLabel } from './words';

const { input } = assemble(flatbedSheet());

test('every estimate has a path of its own and drawing its value gives the plain tree', () => {
  const found = estimatesOf(input);
  expect(new Set(found.map((f) => f.path)).size).toBe(found.length);
  const drawn = draw(input, (e) => e.value);
  expect(drawn.pack!.leaves[2]!.thickness).toBe(8);
  expect(drawn.sides.left.height).toBe(520);
  expect(drawn.changes[0]).toMatchObject({ kind: 'addLeaf', front: 540, camber: 130 });
  expect(JSON.stringify(drawn)).not.toContain('half90');
});

test('drawing one estimate anew leaves all others as they are', () => {
  const path = 'pack.leaves.3.thickness';
  const shifted = draw(input, (e, p) => (p === path ? e.value + e.half90 : e.value));
  const plain = draw(input, (e) => e.value);
  expect(shifted.pack!.leaves[3]!.thickness).toBeCloseTo(8.15, 9);
  shifted.pack!.leaves[3]!.thickness = 8;
  expect(shifted).toEqual(plain);
});

test('every input has a name in plain words, for “measure it again”', () => {
  for (const { path } of estimatesOf(input)) {
    const label = inputLabel(path);
    expect(label).not.toMatch(/[.]|pack|sides|undefined|NaN/);
    expect(label.length).toBeGreaterThan(3);
  }
  expect(inputLabel('pack.leaves.1.thickness')).toBe('thickness of leaf 2');
  expect(inputLabel('changes.0.camber')).toBe('free camber of the added leaf');
  expect(inputLabel('sides.left.height')).toBe('height before the work, left');
  expect(inputLabel('sides.left.spring.archTop')).toBe('loaded arch, left');
});

test('the stored input is plain JSON: nothing is lost on the way to the database and back', () => {
  expect(JSON.parse(JSON.stringify(input))).toEqual(input);
});
