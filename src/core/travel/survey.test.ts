import fc from 'fast-check';
import { hubDrop, type HubTravel } from './hubTravel';
import { worstFirst } from '../verdict';
import { slackVerdicts, SLACK_ITEMS, SLACK_MARGIN, type SurveyAnswer } from './survey';

/** A lift, and the way from the lifted ride height down to hanging, mm. */
const lifted = (lift: number, droop: number | null): HubTravel => ({
  today: hubDrop(0),
  planned: hubDrop(lift),
  droopToday: droop === null ? null : hubDrop(droop),
  droopPlanned: droop === null ? null : hubDrop(lift + droop),
});
const hose = (more: Partial<SurveyAnswer>): SurveyAnswer => ({ item: 'brakeHose', answer: 'ok', slack: null, ...more });
const verdict = (answers: SurveyAnswer[], travel: HubTravel | null) => slackVerdicts(answers, travel)[0]!;

test('what nobody looked at is not checked, never good', () => {
  expect(slackVerdicts([], lifted(0, 80)).map((v) => v.state)).toEqual(SLACK_ITEMS.map(() => 'not checked'));
  expect(verdict([hose({ answer: 'notChecked' })], lifted(0, 80)).state).toBe('not checked');
});

test('slack read today is set against lift and droop together', () => {
  // Seventy of slack, a lift of sixty and fifty-two of droop: it is forty-two short, not eighteen left.
  expect(verdict([hose({ slack: 70 })], lifted(60, 52))).toMatchObject({ state: 'does not fit', left: -42 });
  const enough = 60 + 52 + SLACK_MARGIN;
  expect(verdict([hose({ slack: enough })], lifted(60, 52))).toMatchObject({ state: 'fits', left: SLACK_MARGIN });
  expect(verdict([hose({ slack: enough - 1 })], lifted(60, 52)).state).toBe('does not fit');
  // Read again as built, the lift is in it already.
  expect(verdict([hose({ slack: 52 + SLACK_MARGIN, readAt: 'built' })], lifted(60, 52)).state).toBe('fits');
});

test('with no droop known a line that the lift alone takes up does not fit; any other is not checked', () => {
  expect(verdict([hose({ slack: 50 })], lifted(60, null))).toMatchObject({ state: 'does not fit', left: -10 });
  expect(verdict([hose({ slack: 200 })], lifted(60, null)).state).toBe('not checked');
  expect(verdict([hose({ slack: 200 })], null).state).toBe('not checked');
});

test('looked at, short and not there are kept apart', () => {
  expect(verdict([hose({})], lifted(0, 500)).state).toBe('fits');
  expect(verdict([hose({ answer: 'notOk', slack: 500 })], lifted(0, 10)).state).toBe('does not fit');
  expect(verdict([hose({ answer: 'none' })], lifted(0, 10))).toMatchObject({ state: 'fits', none: true });
});

test('property: more lift never gives more slack, nor a better verdict', () => {
  const mm = (max: number) => fc.double({ min: 0, max, noNaN: true });
  fc.assert(
    fc.property(mm(300), mm(200), mm(100), fc.option(mm(200)), (slack, lift, more, droop) => {
      const [low, high] = [lifted(lift, droop), lifted(lift + more, droop)].map((t) => verdict([hose({ slack })], t));
      expect(worstFirst(high!, low!)).toBeLessThanOrEqual(0);
      if (low!.left !== null && high!.left !== null) expect(high!.left).toBeLessThanOrEqual(low!.left);
    }),
  );
});
