import { VERDICTS, worse } from './rule';
import { consequences, judge, RULE_IDS, ruleOf, shopRule } from './rules';

const seen = (values: Record<string, number>, choice: string | null = null) => ({ choice, values });

// Common practice: a rubber shear block is rejected where a probe enters 3/4 in over 3 in; shallower passes under watch.
test.each([
  [12.7, 76.2, 'watch'],
  [19.05, 76.2, 'replace'],
  [19.05, 50, 'watch'],
  [0, 300, 'pass'],
])('a tear %d mm deep over %d mm: %s', (deep, long, verdict) =>
  expect(judge(ruleOf('shearTear'), seen({ deep, long }))).toBe(verdict),
);

test.each([
  [-3, 'pass'],
  [11.9, 'pass'],
  [12, 'watch'],
  // Common practice: about an inch of sag asks for new springs, not just bushes.
  [25.4, 'replace'],
])('a spring flatter by %d mm: %s', (sag, verdict) =>
  expect(judge(ruleOf('sag'), seen({ expected: 140, found: 140 - sag }))).toBe(verdict),
);

test('nothing seen is no verdict, and half a measurement is none either', () => {
  for (const id of RULE_IDS) expect(judge(ruleOf(id), seen({}))).toBeNull();
  expect(judge(ruleOf('shearTear'), seen({ deep: 40 }))).toBeNull();
});

test('every rule can pass and can fail, its limits go from worst to least and name its own measures', () => {
  for (const id of RULE_IDS) {
    const rule = ruleOf(id);
    const verdicts = [...rule.choices.map((c) => c.verdict), ...rule.limits.map((l) => l.verdict)];
    expect([id, verdicts.some((v) => v !== 'pass')]).toEqual([id, true]);
    expect([id, rule.choices.length > 0 ? verdicts.includes('pass') : rule.limits.length > 0]).toEqual([id, true]);
    const order = rule.limits.map((l) => VERDICTS.indexOf(l.verdict));
    expect(order).toEqual(order.toSorted((p, q) => q - p));
    for (const limit of rule.limits)
      for (const name of Object.keys(limit.when))
        expect([...rule.measures.map((m) => m.id), rule.derived?.id]).toContain(name);
    expect(new Set(rule.choices.map((c) => c.id)).size).toBe(rule.choices.length);
  }
});

test('a shop’s own limit takes the place of the rule’s, and only that one', () => {
  const own = [{ rule: 'sag' as const, verdict: 'replace' as const, measure: 'sag', value: 18 }];
  const flatter = (by: number) => seen({ expected: 140, found: 140 - by });
  expect(judge(shopRule('sag', own), flatter(19))).toBe('replace');
  expect(judge(shopRule('sag', own), flatter(13))).toBe('watch');
  expect(judge(ruleOf('sag'), flatter(19))).toBe('watch');
});

test('what must be renewed is renewed in pairs, with what else to order; a pass asks for nothing', () => {
  expect(consequences(ruleOf('bumpStop'), 'replace').join(' ')).toMatch(/both sides.*Order: bump stops/);
  expect(consequences(ruleOf('leafBroken'), 'stop')[0]).toMatch(/Not to be driven/);
  expect(consequences(ruleOf('leafBroken'), 'pass')).toEqual([]);
  expect(worse('watch', 'stop')).toBe('stop');
});
