import { flatbedSheet } from '../../../tests/reference/sheets';
import { finish } from '../finish';
import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { type PlannedChange } from '../suspension/longitudinalLeaf/sheet';
import { type Answer, type SafetyItem } from '../procedure/safety';
import { type LeafStanding } from '../suspension/longitudinalLeaf/checks';
import { askedOf } from '../suspension/registry';
import { predictAxle } from '../suspension/solvers';
import { hubDrop } from '../travel/hubTravel';
import { allFit } from '../verdict';
import { factsOf } from './work';
import { mustFit, type FitItem, type Known, type SolvedFacts, type Work } from './mustFit';
import { wedgeText } from './wedge';

const inputOf = (...changes: PlannedChange[]) => assemble(flatbedSheet(changes)).input;
const work = (...changes: PlannedChange[]): Work => askedOf(inputOf(...changes));
const SHACKLE: PlannedChange = { kind: 'shackle', length: 120 };
const threads = { exposedAfter: 12, threadsLeft: 8, engagement: 'fits', runOut: 'fits', reason: '' } as const;
const travel = (lift: number) => ({
  today: hubDrop(0),
  planned: hubDrop(lift),
  droopToday: hubDrop(52),
  droopPlanned: hubDrop(lift + 52),
});
const facts = ({ ubolt, standing, ...more }: Partial<SolvedFacts & LeafStanding> = {}): SolvedFacts => ({
  travel: travel(60),
  own: {
    kind: 'longitudinalLeaf',
    of: { ubolt: ubolt ?? threads, standing: standing ?? [{ working: [480, 430], clamped: [500] }] },
  },
  ...more,
});
const known = (answer: Answer | ((item: SafetyItem) => Answer), more: Partial<Known> = {}): Known => ({
  answer: typeof answer === 'function' ? answer : () => answer,
  survey: [],
  refused: [],
  position: 'rear',
  steered: false,
  driven: false,
  heaviest: null,
  ...more,
});
const row = (rows: ReturnType<typeof mustFit>, item: FitItem) => rows.find((r) => r.item === item);
const state = (item: FitItem, w: Work, f: SolvedFacts | null, k: Known) => row(mustFit(w, f, k), item)?.state;

test('a shaft whose slope is past reckoning is told at its row; the others stand', () => {
  const driveline = { outputSlope: 1.4, shaftSlope: 0.1, pinionSlope: 0, shaftLength: 1200 };
  const rows = mustFit(work(SHACKLE), facts(), known('ok', { driven: true, driveline }));
  expect(row(rows, 'driveline')).toMatchObject({ state: 'look' });
  expect(row(rows, 'driveline')!.text).toContain('do not go together');
  expect(row(rows, 'steering')!.state).toBe('fits');
});

test('one row that nobody looked at keeps a plan from being called good', () => {
  const low = facts({ travel: travel(2) });
  expect(allFit(mustFit(work(SHACKLE), low, known('ok')))).toBe(true);
  for (const item of ['hoseSlack', 'wireSlack', 'rating', 'heightSensing'] as const) {
    const rows = mustFit(
      work(SHACKLE),
      low,
      known((asked) => (asked === item ? 'notChecked' : 'ok')),
    );
    expect(allFit(rows)).toBe(false);
    expect(row(rows, item)?.state).toBe('not checked');
  }
});

test('what a lift moves stands in the same list, and nobody’s word makes it fit', () => {
  const driven = known('ok', { driven: true, steered: true });
  const moved = ['stopGap', 'shockLength', 'driveline', 'steering'] as const;
  for (const item of moved) expect(state(item, work(SHACKLE), facts(), driven)).toBe('not checked');
  for (const item of moved) expect(state(item, work(SHACKLE), facts({ travel: travel(2) }), driven)).toBe('fits');
  expect(state('driveline', work(SHACKLE), facts(), known('ok'))).toBe('fits');
  // A turn of the axle is enough, whatever the height does.
  expect(state('driveline', work(SHACKLE), facts({ travel: travel(2), noseUp: 0.03 }), driven)).toBe('not checked');
});

test.each([
  ['rear', 0.05, /pinion turns 2\.9° up/, /./],
  ['front', 0.05, /pinion turns 2\.9° down/, /Caster grows by 2\.9°/],
  ['front', -0.05, /pinion turns 2\.9° up/, /Caster shrinks by 2\.9°/],
] as const)('a %s axle whose nose turns by %f rad', (position, noseUp, pinion, caster) => {
  const rows = mustFit(work(SHACKLE), facts({ noseUp }), known('ok', { position, driven: true, steered: true }));
  expect(row(rows, 'driveline')!.text).toMatch(pinion);
  expect(row(rows, 'steering')!.text).toMatch(caster);
});

test('a block asks for its locators, a leaf does not', () => {
  expect(state('locator', work({ kind: 'block', height: 40 }), facts(), known('notOk'))).toBe('does not fit');
  expect(state('locator', work({ kind: 'block', height: 0 }), facts(), known('ok'))).toBeUndefined();
});

test('U-bolts nobody measured are not checked; a spring that changes places needs new ones', () => {
  expect(state('threads', work(SHACKLE), null, known('ok'))).toBe('not checked');
  expect(state('threads', work(SHACKLE), facts({ ubolt: 'new set' }), known('ok'))).toBe('does not fit');
  // A nut without thread does not stay on it, whatever the run-out says.
  const short = { ...threads, exposedAfter: -7, threadsLeft: -4.7, engagement: 'does not fit' as const };
  expect(state('runOut', work(SHACKLE), facts({ ubolt: short }), known('ok'))).toBe('does not fit');
});

test('over-stress stands in the list of what must fit, told as loudly as anything else', () => {
  const leaf = work({ kind: 'addLeaf', front: 500, rear: 500, thickness: 8, camber: 90, source: 'measured' });
  expect(row(mustFit(leaf, facts({ standing: [{ working: [690] }] }), known('ok')), 'stress')).toMatchObject({
    state: 'does not fit',
    text: expect.stringContaining('690 of 600 MPa') as string,
    figure: { value: 690, limit: 600, margin: -90, dimension: 'stress' },
  });
  expect(state('stress', leaf, null, known('ok'))).toBe('not checked');
});

test('a hose measured today is held against lift and droop, and a broken main leaf stops whatever else fits', () => {
  const survey = [{ item: 'brakeHose' as const, answer: 'ok' as const, slack: 70 }];
  expect(row(mustFit(work(SHACKLE), facts(), known('ok', { survey })), 'brakeHose')).toMatchObject({
    state: 'does not fit',
    text: expect.stringContaining('42 mm too short') as string,
  });
  const refused = [{ side: 'left', reason: 'the main leaf on the left is broken' }];
  expect(state('located', work(SHACKLE), facts(), known('ok', { refused }))).toBe('does not fit');
});

test.each<[string, number | null, number | null, string]>([
  ['a pack nobody rated', null, 1600, 'not checked'],
  ['a pack too weak', 700, 1600, 'does not fit'],
  ['a pack strong enough', 800, 1600, 'fits'],
  ['a pack on an axle nobody weighed', 800, null, 'not checked'],
])('%s', (_, packRating, heaviest, verdict) => {
  expect(state('rating', { ...work(SHACKLE), packRating }, facts(), known('ok', { heaviest }))).toBe(verdict);
});

test('a raised frame warns of the brake valve, a lowered one says so too', () => {
  const text = (lift: number) =>
    row(mustFit(work(SHACKLE), facts({ travel: travel(lift) }), known('notChecked')), 'heightSensing')!.text;
  expect(text(40)).toMatch(/reads as empty and cuts the rear brakes/);
  expect(text(-40)).toMatch(/reads as laden/);
});

test('what a prediction says is taken over whole: bolts, stress, travel and the turn of the axle', () => {
  const input = inputOf({ kind: 'shackle', length: 125 });
  const said = factsOf(finish(predictAxle(input, false)));
  const { ubolt, standing } = said.own.of as LeafStanding;
  expect(ubolt).toMatchObject({ engagement: 'fits' });
  expect(standing.length).toBe(4);
  expect(said.travel!.planned).toBeGreaterThan(4);
  // A longer shackle lets the rear eye down, and the nose of the axle with it up: the seat stands lower behind.
  expect(said.noseUp!).toBeGreaterThan(0);
});

test('the wedge that takes a turn back: thick end to the rear lifts the nose over the axle, and the other way under it', () => {
  const turn = (degrees: number) => (degrees * Math.PI) / 180;
  expect(wedgeText(turn(0.4), 'over')).toBe('');
  expect(wedgeText(turn(-2), 'over')).toMatch(/2\.0° with its thick end to the rear/);
  expect(wedgeText(turn(2), 'over')).toMatch(/thick end to the front/);
  expect(wedgeText(turn(-2), 'under')).toMatch(/thick end to the front/);
  expect(wedgeText(turn(2), 'under')).toMatch(/thick end to the rear/);
});
