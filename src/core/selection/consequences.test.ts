import { type SurveyAnswer, SLACK_ITEMS } from '../travel/survey';
import {
  consequencesOf,
  CONSEQUENCES,
  nothingOpen,
  wedgeText,
  type ConsequenceId,
  type Surroundings,
} from './consequences';
import { stressVerdict } from '../leafpack/stress';
import { hubDrop } from '../travel/hubTravel';
import { type Candidate } from './generate';
import { type CandidateState, type Ranked } from './search';

const state = (more: Partial<CandidateState> = {}): CandidateState => ({
  ...{ id: 'today', change: 40, after: 560, rate: 60, rateShare: 0.2, frequency: 1.5, frequencyBefore: 1.4 },
  ...{ smallBump: 80, smallBumpBefore: 70, standing: { working: [500] }, stress: 500, stressBefore: 480, noseUp: 0 },
  ...more,
});
const ranked = (more: Partial<Ranked> = {}, candidate: Partial<Candidate> = {}): Ranked => ({
  candidate: {
    ...{ id: 'x', name: 'x', ways: ['leafAdded'], changes: [], sources: [], parts: [], made: [], rating: null },
    ...candidate,
  },
  ...{
    states: [state()],
    miss: 0,
    score: 0,
    off: 0,
    ubolt: 'fits',
    uboltOrder: null,
    uboltPart: null,
    stressed: stressVerdict([{ working: [500] }])!,
    price: 10,
    days: 0,
  },
  ...more,
});
const around = (more: Partial<Surroundings> = {}): Surroundings => ({
  ...{
    survey: [],
    travel: { today: hubDrop(0), planned: hubDrop(40), droopToday: hubDrop(80), droopPlanned: hubDrop(120) },
    answer: () => 'notChecked',
    steered: false,
    driven: true,
    arrangement: 'over',
    heaviest: null,
  },
  ...more,
});
const surveyed = (more: Partial<Record<string, SurveyAnswer['answer']>> = {}): SurveyAnswer[] =>
  SLACK_ITEMS.map((item) => ({ item, answer: more[item] ?? 'none', slack: null }));
const said = (r: Ranked, a: Surroundings, id: ConsequenceId) => consequencesOf(r, a).find((row) => row.id === id)!;

test('every row is there for every candidate, and one nobody looked at is never shown as fitting', () => {
  const rows = consequencesOf(ranked(), around());
  expect(rows.map((r) => r.id)).toEqual([...CONSEQUENCES]);
  for (const id of ['slack', 'brakeValve', 'stop', 'shock', 'rating', 'driveline'] as const)
    expect(said(ranked(), around(), id).state).toBe('not checked');
  expect(nothingOpen(rows)).toBe(false);
});

test.each<[string, Ranked, Surroundings, ConsequenceId, string]>([
  ['lines that were all surveyed', ranked(), around({ survey: surveyed() }), 'slack', 'fits'],
  ['a line that is too short', ranked(), around({ survey: surveyed({ brakeHose: 'notOk' }) }), 'slack', 'does not fit'],
  ['no sensor on the vehicle', ranked(), around({ survey: surveyed() }), 'brakeValve', 'fits'],
  ['a height that hardly changes', ranked({ states: [state({ change: 2 })] }), around(), 'stop', 'fits'],
  ['a new place for the spring', ranked({ ubolt: 'new set' }), around(), 'threads', 'does not fit'],
  ['threads nobody measured', ranked({ ubolt: 'not checked' }), around(), 'threads', 'not checked'],
  ['too much stress', ranked({ stressed: stressVerdict([{ working: [720] }])! }), around(), 'stress', 'does not fit'],
  ['a steered axle', ranked(), around({ steered: true }), 'steering', 'not checked'],
  ['an axle that is not driven', ranked(), around({ driven: false }), 'driveline', 'fits'],
  [
    'a block whose locators nobody saw',
    ranked({}, { changes: [{ kind: 'block', height: { value: 30, half90: 0, origin: 'catalogue' } }] }),
    around(),
    'locator',
    'not checked',
  ],
  ['a pack nobody rated', ranked({}, { ways: ['pack'] }), around({ heaviest: 1600 }), 'rating', 'not checked'],
  [
    'a pack too weak',
    ranked({}, { ways: ['pack'], rating: 700 }),
    around({ heaviest: 1600 }),
    'rating',
    'does not fit',
  ],
  [
    'a pack strong enough',
    ranked({}, { ways: ['donorPack'], rating: 800 }),
    around({ heaviest: 1600 }),
    'rating',
    'fits',
  ],
  ['a pack on an axle nobody weighed', ranked({}, { ways: ['pack'], rating: 800 }), around(), 'rating', 'not checked'],
])('%s', (_, r, a, id, verdict) => {
  expect(said(r, a, id).state).toBe(verdict);
});

test('a raised frame warns of the brake valve, a lowered one says so too', () => {
  expect(said(ranked(), around(), 'brakeValve').text).toMatch(/reads as empty and cuts the rear brakes/);
  expect(said(ranked({ states: [state({ change: -40 })] }), around(), 'brakeValve').text).toMatch(/reads as laden/);
});

test('the wedge that takes a turn back: thick end to the rear lifts the nose over the axle, and the other way under it', () => {
  const turn = (degrees: number) => (degrees * Math.PI) / 180;
  expect(wedgeText(turn(0.4), 'over')).toBe('');
  expect(wedgeText(turn(-2), 'over')).toMatch(/2\.0° with its thick end to the rear/);
  expect(wedgeText(turn(2), 'over')).toMatch(/thick end to the front/);
  expect(wedgeText(turn(-2), 'under')).toMatch(/thick end to the front/);
  expect(wedgeText(turn(2), 'under')).toMatch(/thick end to the rear/);
});
