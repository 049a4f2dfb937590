import { slackVerdicts, SLACK_ITEMS, SLACK_MARGIN, type SurveyAnswer } from './survey';

const hose = (more: Partial<SurveyAnswer>): SurveyAnswer => ({ item: 'brakeHose', answer: 'ok', slack: null, ...more });
const verdict = (answers: SurveyAnswer[], droop: number | null) => slackVerdicts(answers, droop)[0]!;

test('what nobody looked at is not checked, never good', () => {
  expect(slackVerdicts([], 80).map((v) => v.verdict)).toEqual(SLACK_ITEMS.map(() => 'not checked'));
  expect(verdict([hose({ answer: 'notChecked' })], 80).verdict).toBe('not checked');
});
test('measured slack is set against the droop, with a margin', () => {
  expect(verdict([hose({ slack: 80 + SLACK_MARGIN })], 80)).toMatchObject({ verdict: 'fits', left: SLACK_MARGIN });
  expect(verdict([hose({ slack: 80 + SLACK_MARGIN - 1 })], 80).verdict).toBe('does not fit');
  expect(verdict([hose({ slack: 60 })], 80)).toMatchObject({ verdict: 'does not fit', left: -20 });
  expect(verdict([hose({ slack: 200 })], null).verdict).toBe('not checked');
});
test('looked at, short and not there are kept apart', () => {
  expect(verdict([hose({})], 500).verdict).toBe('fits');
  expect(verdict([hose({ answer: 'notOk', slack: 500 })], 10).verdict).toBe('does not fit');
  expect(verdict([hose({ answer: 'none' })], 10).verdict).toBe('not there');
});
