import { flatbedSheet } from '../../../tests/reference/sheets';
import { assemble } from '../measure/assemble';
import { type PlannedChange } from '../measure/sheet';
import { planChecks, planFits, type Answer, type SafetyItem } from './checks';

const input = (...changes: PlannedChange[]) => assemble(flatbedSheet(changes)).input;
const fits = { exposedAfter: 12, threadsLeft: 8, engagement: 'fits', runOut: 'fits', reason: '' } as const;
const all = (answer: Answer) => () => answer;
const verdict = (rows: ReturnType<typeof planChecks>, id: string) => rows.find((r) => r.id === id)?.verdict;

test('one row that nobody looked at keeps a plan from being called good', () => {
  const plan = input({ kind: 'shackle', length: 120 });
  expect(planFits(planChecks(plan, { ubolt: fits }, all('ok')))).toBe(true);
  const items: SafetyItem[] = ['hoseSlack', 'wireSlack', 'rating', 'heightSensing'];
  for (const item of items) {
    const rows = planChecks(plan, { ubolt: fits }, (asked) => (asked === item ? 'notChecked' : 'ok'));
    expect(planFits(rows)).toBe(false);
    expect(verdict(rows, item)).toBe('not checked');
  }
});

test('a block asks for its locators, a leaf does not', () => {
  expect(verdict(planChecks(input({ kind: 'block', height: 40 }), { ubolt: fits }, all('notOk')), 'locator')).toBe(
    'does not fit',
  );
  expect(
    verdict(planChecks(input({ kind: 'block', height: 0 }), { ubolt: fits }, all('ok')), 'locator'),
  ).toBeUndefined();
});

test('U-bolts nobody measured are not checked; a spring that changes places needs new ones', () => {
  const plan = input({ kind: 'shackle', length: 120 });
  expect(verdict(planChecks(plan, null, all('ok')), 'threads')).toBe('not checked');
  expect(verdict(planChecks(plan, { ubolt: 'new set' }, all('ok')), 'threads')).toBe('does not fit');
});
