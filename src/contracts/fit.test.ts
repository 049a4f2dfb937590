import { assembleTandem } from '@/core/suspension/tandem/assemble';
import { flatbedSheet } from '../../tests/reference/sheets';
import { viewOf } from '../../tests/reference/views';
import { blocking, fitRows, sameMisfit } from './fit';

test('a reason covers the misfit it was given for, a millimetre either way, and none that grew', () => {
  const given = 'Brake hose has slack at full droop: 12 mm short.';
  expect(sameMisfit(given, given)).toBe(true);
  expect(sameMisfit(given, 'Brake hose has slack at full droop: 13 mm short.')).toBe(true);
  expect(sameMisfit(given, 'Brake hose has slack at full droop: 60 mm short.')).toBe(false);
  expect(sameMisfit('Hanger: cracked. To be replaced.', 'Hanger: torn. Not to be driven.')).toBe(false);
});

test('a tyre over its load keeps a build from starting', () => {
  const view = {
    ...viewOf(flatbedSheet()),
    torques: [],
    survey: [],
    safety: [],
    defects: [],
    arrivals: [],
    findings: [],
  };
  const limit = { point: 'wheelLimit', value: 600, phase: 'before', side: null, leafId: null, stateId: null } as const;
  const { input } = assembleTandem({
    ...{ kind: 'tandemSlipper', changes: [], wheelbase: 4000, states: [], readings: [{ ...limit, rolled: null }] },
    axle: { position: 'rear', axleClass: 'trailer1t', arrangement: 'over' },
  });
  const under = (wheel: number) => {
    const end = { wheel, stress: 300 };
    const stands = { front: end, rear: end, swing: null, stop: null, atStop: false, slope: 0, step: null };
    const facts = { travel: null, own: { kind: 'tandemSlipper' as const, of: [stands] } };
    return blocking(fitRows(view, facts, { input, refused: [] })).map((row) => row.subject);
  };
  expect(under(620)).toContain('pairTyres');
  expect(under(580)).not.toContain('pairTyres');
});

test('a worn bush stands in the way until the plan renews every one it may be', () => {
  const bush = { rule: 'bush', side: 'left', verdict: 'stop', choice: null, values: [], note: '' };
  const of = (ends: 'eyes' | 'all') => {
    const view = viewOf(flatbedSheet([]));
    const plan = { ...view.plan, changes: [{ kind: 'eyeBush' as const, bush: 'bonded' as const, ends }] };
    const more = { torques: [], survey: [], safety: [], defects: [], arrivals: [], findings: [bush] };
    return blocking(fitRows({ ...view, ...more, plan } as unknown as typeof view, null)).map((row) => row.subject);
  };
  expect(of('eyes')).toContain('inspect:bush:left');
  expect(of('all')).not.toContain('inspect:bush:left');
});
