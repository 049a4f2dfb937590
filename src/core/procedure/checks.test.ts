import { flatbedSheet } from '../../../tests/reference/sheets';
import { assemble } from '../measure/assemble';
import { type PlannedChange } from '../measure/sheet';
import { hubDrop } from '../travel/hubTravel';
import { planChecks, planFits, type Answer, type Known, type SafetyItem, type SolvedFacts } from './checks';

const input = (...changes: PlannedChange[]) => assemble(flatbedSheet(changes)).input;
const threads = { exposedAfter: 12, threadsLeft: 8, engagement: 'fits', runOut: 'fits', reason: '' } as const;
const facts: SolvedFacts = {
  ubolt: threads,
  travel: { today: hubDrop(0), planned: hubDrop(60), droopToday: hubDrop(52), droopPlanned: hubDrop(112) },
  standing: [{ working: [480, 430], clamped: [500] }],
};
const known = (answer: Answer | ((item: SafetyItem) => Answer), more: Partial<Known> = {}): Known => ({
  answer: typeof answer === 'function' ? answer : () => answer,
  survey: [],
  refused: [],
  ...more,
});
const verdict = (rows: ReturnType<typeof planChecks>, id: string) => rows.find((r) => r.id === id)?.verdict;

test('one row that nobody looked at keeps a plan from being called good', () => {
  const plan = input({ kind: 'shackle', length: 120 });
  expect(planFits(planChecks(plan, facts, known('ok')))).toBe(true);
  const items: SafetyItem[] = ['hoseSlack', 'wireSlack', 'rating', 'heightSensing'];
  for (const item of items) {
    const rows = planChecks(
      plan,
      facts,
      known((asked) => (asked === item ? 'notChecked' : 'ok')),
    );
    expect(planFits(rows)).toBe(false);
    expect(verdict(rows, item)).toBe('not checked');
  }
});

test('a block asks for its locators, a leaf does not', () => {
  expect(verdict(planChecks(input({ kind: 'block', height: 40 }), facts, known('notOk')), 'locator')).toBe(
    'does not fit',
  );
  expect(verdict(planChecks(input({ kind: 'block', height: 0 }), facts, known('ok')), 'locator')).toBeUndefined();
});

test('U-bolts nobody measured are not checked; a spring that changes places needs new ones', () => {
  const plan = input({ kind: 'shackle', length: 120 });
  expect(verdict(planChecks(plan, null, known('ok')), 'threads')).toBe('not checked');
  expect(verdict(planChecks(plan, { ...facts, ubolt: 'new set' }, known('ok')), 'threads')).toBe('does not fit');
  // A nut without thread does not stay on it, whatever the run-out says.
  const short = { ...threads, exposedAfter: -7, threadsLeft: -4.7, engagement: 'does not fit' as const };
  expect(verdict(planChecks(plan, { ...facts, ubolt: short }, known('ok')), 'runOut')).toBe('does not fit');
});

test('over-stress stands in the list of what must fit, told as loudly as anything else', () => {
  const plan = input({ kind: 'addLeaf', front: 500, rear: 500, thickness: 8, camber: 90, source: 'measured' });
  const rows = planChecks(plan, { ...facts, standing: [{ working: [690] }] }, known('ok'));
  expect(rows.find((r) => r.id === 'stress')).toMatchObject({
    verdict: 'does not fit',
    reason: expect.stringContaining('690 of 600 MPa') as string,
  });
  expect(verdict(planChecks(plan, null, known('ok')), 'stress')).toBe('not checked');
});

test('a hose measured today is held against lift and droop, and a broken main leaf stops whatever else fits', () => {
  const plan = input({ kind: 'shackle', length: 120 });
  const survey = [{ item: 'brakeHose' as const, answer: 'ok' as const, slack: 70 }];
  const rows = planChecks(plan, facts, known('ok', { survey }));
  expect(rows.find((r) => r.id === 'brakeHose')).toMatchObject({
    verdict: 'does not fit',
    reason: expect.stringContaining('42 mm too short') as string,
  });
  const refused = [{ side: 'left', reason: 'the main leaf on the left is broken' }];
  expect(verdict(planChecks(plan, facts, known('ok', { refused })), 'located')).toBe('does not fit');
});
