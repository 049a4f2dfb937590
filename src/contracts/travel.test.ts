import { hubDrop } from '@/core/travel/hubTravel';
import { type SolvedFacts } from '@/core/fit/mustFit';
import { flatbedSheet } from '../../tests/reference/sheets';
import { viewOf } from '../../tests/reference/views';
import { blocking, fitRows } from './fit';
import { type JobView } from './job';
import { openList } from './openList';
import { type ChangeRow } from './plan';
import { fittingsOf, travelUnread } from './travel';
import { newUbolts, uboltOrdersOf } from './ubolts';

const READ = {
  stopGap: 60,
  stopHeight: 50,
  stopSolid: 30,
  shockLength: 430,
  shockShut: 360,
  shockOpen: 540,
  shockLean: 0,
};

/** A job whose shocks are shut ten before its stops are solid, with some lines of a plan. */
function view(changes: ChangeRow[] = [], read: Partial<typeof READ> = READ): JobView {
  const at = (side: 'left' | 'right') =>
    Object.entries(read).map(([point, value]) => ({
      ...{ point, value, side, phase: 'before', leafId: null, stateId: null, rolled: null, dayId: null },
    }));
  const bare = viewOf(flatbedSheet());
  return {
    ...bare,
    ...{
      survey: [],
      safety: [],
      defects: [],
      findings: [],
      torques: [],
      torqueReadings: [],
      ticks: [],
      needed: [],
      arrivals: [],
      waits: [],
      fastenerSizes: [],
      incidents: [],
      legThreads: [],
      schools: [],
      predictions: [],
      outcomes: [],
    },
    ...{ toolsHere: null, daysOff: { week: [], on: [] } },
    ...{ goals: [], due: [], build: null, closing: null, bay: null },
    pack: { ...bare.pack, uboltBend: 'tube' },
    plan: { ...bare.plan, changes },
    readings: [...bare.readings, ...at('left'), ...at('right')],
  } as unknown as JobView;
}
const LIFTED: SolvedFacts = {
  travel: { today: hubDrop(0), planned: hubDrop(40), droopToday: hubDrop(120), droopPlanned: hubDrop(160) },
  own: { kind: 'longitudinalLeaf', of: { ubolt: null, standing: [] } },
};
const pad: ChangeRow = { kind: 'stopPad', height: 20, heightTyped: '20' };
const stops = (of: JobView) => blocking(fitRows(of, LIFTED)).map((row) => row.subject);

test('what hits before the stop keeps a build from starting until the plan mends it; the tape says so at Check', () => {
  expect(stops(view())).toContain('shockShut');
  expect(stops(view([pad]))).not.toContain('shockShut');
  const check = openList(view(), fitRows(view(), LIFTED)).check;
  expect(check.filter((item) => item.stop).map((item) => item.text)).toContain(
    'Stop is solid before the shock is shut',
  );
  // What nobody read is asked for here, and blocks nothing.
  expect(check.filter((item) => !item.stop).map((item) => item.text)).toEqual([
    'not read: Stop is solid before axle meets frame',
    'not read: Stop is solid before tyre meets body',
  ]);
  expect(travelUnread(view([], {})).map((row) => row.item)).toHaveLength(5);
});

test('lines of a plan add up, the last shocks count, and nothing of it reaches the spring', () => {
  const line = (by: number): ChangeRow => ({ kind: 'line', item: 'brakeHose', by, byTyped: `${by}` });
  expect(fittingsOf([line(20), line(15), pad])).toMatchObject({ stopPad: 20, shock: null, lines: { brakeHose: 35 } });
  // A plan's own fittings never leak into another one's.
  expect(fittingsOf([]).lines).toEqual({});
});

test('new U-bolts are held against the stack as planned, also when it grows afterwards', () => {
  const order = uboltOrdersOf(view())![0]!;
  const set: ChangeRow = { kind: 'ubolts', leg: order.leg, legTyped: `${order.leg}`, bend: 'tube' };
  expect(newUbolts(view())).toBeNull();
  expect(newUbolts(view([set]))).toMatchObject({ state: 'fits' });
  const block: ChangeRow = { kind: 'block', height: 60, heightTyped: '60' };
  expect(newUbolts(view([set, block]))).toMatchObject({ state: 'does not fit' });
});

test('full lock is asked of wheels that steer, and of no others', () => {
  const asked = (steered: boolean) => {
    const bare = view([], {});
    return travelUnread({ ...bare, axle: { ...bare.axle, steered } }).map((row) => row.item);
  };
  expect(asked(true)).toContain('tyreAtLock');
  expect(asked(false)).not.toContain('tyreAtLock');
});

test('a build is held against the heaviest load: a stop that only the load reaches stops it', () => {
  const laden = (to: number): SolvedFacts => ({ ...LIFTED, travel: { ...LIFTED.travel!, laden: hubDrop(to) } });
  const row = (facts: SolvedFacts) => fitRows(view([pad]), facts).find((r) => r.subject === 'stopGap')!;
  // 60 of gap less a pad of 20: the load presses it 38 up from today, then 45.
  expect(row(laden(-38))).toMatchObject({ state: 'look', figure: { value: 2 } });
  expect(row(laden(-38)).reason).toContain('heaviest load');
  expect(row(laden(-45)).state).toBe('does not fit');
  // A prediction of an older core told the load of the day only.
  expect(row(LIFTED)).toMatchObject({ state: 'fits', figure: { value: 80 } });
});
