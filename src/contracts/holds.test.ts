import { compose } from '@/core/procedure/compose';
import { procedureOf } from '@/core/suspension/registry';
import { holdsOf } from './holds';
import { type AxleView } from './job';

const VIEW = {
  ...{ photos: [], torques: [], torqueReadings: [] },
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
