import { type JobView } from '@/contracts/job';
import { rulesOf } from '@/core/suspension/registry';
import { LEAF_WALK } from '../suspension/longitudinalLeaf/walkPlaces';
import { COIL_WALK, TRAIL_WALK, TWIN_WALK, UNIT_WALK } from '../suspension/coil/walkPlaces';
import { TANDEM_WALK } from '../suspension/tandem/walkPlaces';
import { SHEAR_WALK } from '../suspension/rubberShear/walkPlaces';
import { CROSS_WALK } from '../suspension/transverseLeaf/walkPlaces';
import { walked, walkOf, worstOf } from './walk';

type Finding = [rule: string, side: 'left' | 'right' | null, verdict: string];
const viewOf = (suspension: string, findings: Finding[]) =>
  ({
    axle: { suspension },
    pack: { rearEnd: null },
    findings: findings.map(([rule, side, verdict]) => ({ rule, side, verdict })),
  }) as unknown as JobView;

test.each([
  ['longitudinalLeaf', LEAF_WALK],
  ['coilBeam', COIL_WALK],
  ['tandemEqualizer', TANDEM_WALK],
  ['tandemSlipper', TANDEM_WALK],
  ['transverseLeaf', CROSS_WALK],
  ['twinBeam', TWIN_WALK],
  ['torsionBeam', TRAIL_WALK],
  ['coilOver', UNIT_WALK],
  ['rubberShear', SHEAR_WALK],
] as const)('every rule of %s is walked once, numbered from 1', (kind, order) => {
  const spots = walkOf(viewOf(kind, []), order);
  expect(spots.map((s) => s.rule).toSorted()).toEqual([...rulesOf(kind, { rearEnd: null } as never)].toSorted());
  expect(spots.map((s) => s.number)).toEqual(spots.map((_, k) => k + 1));
  expect(walked(spots)).toEqual({ fine: 0, looks: 0, stops: 0, open: spots.length });
});

test('one side fine is not a spot fine; the worse side decides; the counts add up', () => {
  const spots = walkOf(
    viewOf('longitudinalLeaf', [
      ['hanger', 'left', 'pass'],
      ['bush', 'left', 'pass'],
      ['bush', 'right', 'pass'],
      ['clips', 'left', 'stop'],
      ['bumpStop', 'left', 'pass'],
      ['bumpStop', 'right', 'replace'],
      ['square', null, 'pass'],
    ]),
    LEAF_WALK,
  );
  const worst = (rule: string) => worstOf(spots.find((s) => s.rule === rule)!);
  expect([worst('hanger'), worst('bush'), worst('clips'), worst('bumpStop'), worst('square')]).toEqual([
    null,
    'pass',
    'stop',
    'replace',
    'pass',
  ]);
  const { fine, looks, stops, open } = walked(spots);
  expect([fine, looks, stops, fine + looks + stops + open]).toEqual([2, 1, 1, spots.length]);
});
