import fc from 'fast-check';
import { inView, plainText, shownText } from './inView';
import { parseMeasured } from './parse';
import { lengthRule, massRule, unsurprised } from './rules';

const mm = lengthRule(0, 2000, 480);
const inch = inView(mm, { length: 'in' });

test('a bare number means what the field shows, and its text can be read again by anyone', () => {
  expect(parseMeasured('19 1/2', inch)).toMatchObject({
    kind: 'ok',
    unit: 'in',
    value: expect.closeTo(495.3, 9) as number,
  });
  // Two inches where nineteen are usual is asked about, not taken for millimetres.
  expect(parseMeasured('2', lengthRule(0, 300, 50))).toMatchObject({ kind: 'ask' });
  expect(parseMeasured('2', inView(lengthRule(0, 300, 50), { length: 'in' }))).toMatchObject({
    kind: 'ok',
    value: 50.8,
  });
  expect(plainText('19 1/2', mm, inch)).toBe('19 1/2 in');
  expect(plainText('495 mm', mm, inch)).toBe('495 mm');
  expect(plainText('495', mm, mm)).toBe('495');
  // What was typed in millimetres says so where inches are shown, and stays as typed.
  expect(shownText('495', mm, inch)).toBe('495 mm');
  expect(shownText('19 1/2 in', mm, inch)).toBe('19 1/2 in');
});

test('a field that is not chosen for keeps its unit, and so does one that must', () => {
  expect(inView(massRule(0, 10), { length: 'in' }).unit).toBe('kg');
  expect(inView({ ...mm, keepsUnit: true }, { length: 'in' })).toEqual({ ...mm, keepsUnit: true });
});

test('property: text and value agree for whoever reads the text next, whatever the view', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 78 }),
      fc.integer({ min: 0, max: 15 }),
      fc.boolean(),
      (whole, top, inches) => {
        const shown = inches ? inch : mm;
        const typed = top === 0 || !inches ? String(whole) : `${whole} ${top}/16`;
        const read = parseMeasured(typed, unsurprised(shown));
        if (read.kind !== 'ok') return;
        const again = parseMeasured(plainText(typed, mm, shown), unsurprised(mm));
        expect(again).toMatchObject({ kind: 'ok', value: expect.closeTo(read.value, 9) as number });
      },
    ),
  );
});
