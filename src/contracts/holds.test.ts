import { compose } from '@/core/procedure/compose';
import { procedureOf } from '@/core/suspension/registry';
import { holdsOf } from './holds';
import { type AxleView } from './job';

const VIEW = {
  ...{ photos: [], torques: [], torqueReadings: [], needed: [], toolsHere: null },
  ...{ axle: { suspension: 'longitudinalLeaf' }, pack: { rearEnd: 'below' } },
} as unknown as AxleView;

test('a step waits for a picture of what it takes apart, the wrench at what it makes final, and a second person where an axle is carried', () => {
  const way = { sides: 'both', bonded: true, packInPlace: false } as const;
  const { start, operations, hazards } = procedureOf('longitudinalLeaf', [{ kind: 'axleWidth' }], way)!;
  const steps = compose(start, operations, hazards).steps.map((s) => s.operation);
  const kinds = Object.fromEntries(steps.map((step) => [step.id, holdsOf(VIEW, step).map((h) => h.kind)]));
  expect(kinds).toMatchObject({ axleOut: ['two'], axleIn: ['two'], lift: [], freeLines: ['picture'] });
  expect(kinds['uboltsFinal.left']).toEqual(['torque']);
  const shown = { ...VIEW, photos: [{ subject: 'step:freeLines' }] } as unknown as AxleView;
  expect(
    holdsOf(
      shown,
      steps.find((s) => s.id === 'freeLines')!,
    ),
  ).toEqual([]);
});

test('a pack is not opened without what clamps it: of a shop that keeps its tools here, until one is hired and here', () => {
  const way = { sides: 'one', bonded: true, packInPlace: true } as const;
  const clamp = procedureOf('longitudinalLeaf', [{ kind: 'addLeaf' }], way)!.operations.find(
    (o) => o.id === 'clamp.left',
  )!;
  const held = (more: object) => holdsOf({ ...VIEW, ...more } as unknown as AxleView, clamp).map((h) => h.kind);
  expect(held({})).toEqual([]);
  expect(held({ toolsHere: ['jack'] })).toEqual(['tool']);
  expect(held({ toolsHere: ['jack', 'clamp'] })).toEqual([]);
  const hired = (state: string) => ({ toolsHere: ['jack'], needed: [{ need: 'tool:clamp:clamps', state }] });
  expect([held(hired('ordered')), held(hired('here'))]).toEqual([['tool'], []]);
});
