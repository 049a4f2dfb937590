import { CoreError } from '../errors';
import { parseMeasured } from '../units/parse';
import { findSums, SUMS } from './sums';
import { SumInput, type Sum } from './sum';

/** A sum at its examples, with some of them typed otherwise. */
const inputOf = (sum: Sum, typed: Record<string, string> = {}, chosen: Record<string, string> = {}) => {
  const texts = Object.fromEntries(sum.fields.map((f) => [f.id, typed[f.id] ?? f.example]));
  const values = sum.fields.map((f) => {
    const read = parseMeasured(texts[f.id]!, f.rule);
    if (read.kind !== 'ok') throw new Error(`${sum.id} ${f.id}: ${texts[f.id]}`);
    return [f.id, read.value] as const;
  });
  const choices = Object.fromEntries((sum.choices ?? []).map((c) => [c.id, chosen[c.id] ?? c.options[0]!.id]));
  return new SumInput(Object.fromEntries(values), texts, choices);
};
const at = (sum: Sum, typed: Record<string, string> = {}, chosen: Record<string, string> = {}) =>
  sum.answer(inputOf(sum, typed, chosen));
const sum = (id: string) => SUMS.find((s) => s.id === id)!;

test.each(SUMS.map((s) => [s.id, s] as const))(
  '%s answers at its own examples, whatever is chosen, and says what it does not tell',
  (_, s) => {
    const many = (s.choices ?? []).reduce<Record<string, string>[]>(
      (all, c) => all.flatMap((one) => c.options.map((o) => ({ ...one, [c.id]: o.id }))),
      [{}],
    );
    for (const chosen of many) {
      let answer;
      try {
        answer = at(s, {}, chosen);
      } catch (error) {
        // A grade that does not go with the thread is refused at its field.
        expect(error).toBeInstanceOf(CoreError);
        expect([...s.fields, ...(s.choices ?? [])].map((f) => f.id)).toContain((error as CoreError).field);
        continue;
      }
      expect(answer.figures.length).toBeGreaterThan(0);
      for (const { value, between } of answer.figures) {
        expect(Number.isFinite(value)).toBe(true);
        if (between) expect(between[0]).toBeLessThanOrEqual(value);
      }
      const picture = s.draw?.(inputOf(s, {}, chosen));
      expect(JSON.stringify(picture ?? '')).not.toMatch(/null|NaN|Infinity/);
      expect(answer.working.join() + answer.words.join()).not.toMatch(/NaN|undefined|Infinity/);
    }
    expect(s.silent.length).toBeGreaterThan(20);
    expect(s.source.length).toBeGreaterThan(5);
  },
);

test('a sum is found by any of its words, also by the wrong one, and by nothing that it is not', () => {
  expect(SUMS.map((s) => s.id)).toEqual([...new Set(SUMS.map((s) => s.id))]);
  expect(findSums('').length).toBe(SUMS.length);
  expect(findSums('golf cart').map((s) => s.id)).toEqual(['tilt']);
  expect(findSums('u-joint').map((s) => s.id)).toContain('joints');
  expect(findSums('bushing').map((s) => s.id)).toEqual(['bush', 'bushfit']);
  expect(findSums('brake pedal')).toEqual([]);
});

test('a length typed in one unit is told in the other, to the nearest fraction', () => {
  const { figures, words } = at(sum('inch'), { length: '58.7 mm' });
  expect(figures[0]!.value).toBeCloseTo(58.7, 9);
  expect(words[0]).toBe('to the nearest 1/16: 2 5/16 in (−0.04 mm off)');
});

test('a bolt at its low end, a nut on its shank, a hole that is too small: each is said first', () => {
  expect(at(sum('range'), { value: '55 N·m' }).words[0]).toContain('under the least');
  expect(at(sum('length'), { bolt: '90 mm' }).words[0]).toMatch(/^STOP: .* too short/);
  expect(at(sum('hole'), { hole: '13.5 mm' }).words[0]).toMatch(/^STOP/);
  expect(() => at(sum('pilot'), { thread: '3/8' })).toThrow(expect.objectContaining({ field: 'thread' }));
});
