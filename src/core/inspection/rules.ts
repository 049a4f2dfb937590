import { worse, type InspectionVerdict, type InspectionRule } from './rule';
import { LEAVES_RULES } from './sheets/leaves';
import { COILS_RULES } from './sheets/coils';
import { BOLTS_RULES } from './sheets/bolts';
import { HANGERS_RULES } from './sheets/hangers';
import { LINKS_RULES } from './sheets/links';
import { STEERING_RULES } from './sheets/steering';
import { BUSHES_RULES } from './sheets/bushes';
import { STOPS_RULES } from './sheets/stops';
import { AXLE_RULES } from './sheets/axle';

/** What is looked at on an axle; a kind of suspension takes its own of these. Limits are common practice unless they are marked as a start. */
export const RULES = {
  ...LEAVES_RULES,
  ...COILS_RULES,
  ...BOLTS_RULES,
  ...HANGERS_RULES,
  ...LINKS_RULES,
  ...STEERING_RULES,
  ...BUSHES_RULES,
  ...STOPS_RULES,
  ...AXLE_RULES,
} as const satisfies Record<string, InspectionRule>;
export type RuleId = keyof typeof RULES;
export const RULE_IDS = Object.keys(RULES) as [RuleId, ...RuleId[]];
export const ruleOf = (id: RuleId): InspectionRule => RULES[id];

/** A shop's own limit in place of a rule's; everything else of the rule stays. */
export interface ShopLimit {
  rule: RuleId;
  verdict: InspectionVerdict;
  measure: string;
  /** Core units. */
  value: number;
}

/** A rule as this shop applies it. */
export function shopRule(id: RuleId, own: readonly ShopLimit[]): InspectionRule {
  const rule = ruleOf(id);
  const limits = rule.limits.map((limit) => ({
    ...limit,
    when: Object.fromEntries(
      Object.entries(limit.when).map(([name, value]) => [
        name,
        own.find((o) => o.rule === id && o.verdict === limit.verdict && o.measure === name)?.value ?? value,
      ]),
    ),
  }));
  return { ...rule, limits };
}

/** What was seen or measured of one rule on one side. */
export interface Seen {
  choice: string | null;
  /** By measure, core units. */
  values: Readonly<Record<string, number>>;
}

/** The derived figure of a rule, by its name; empty while a measure is missing or the rule has none. */
export function derivedValue(rule: InspectionRule, values: Readonly<Record<string, number>>): Record<string, number> {
  if (!rule.derived) return {};
  const [of, less] = [values[rule.derived.of], values[rule.derived.less]];
  return of === undefined || less === undefined ? {} : { [rule.derived.id]: of - less };
}

/**
 * Verdict of a rule on what was seen: the worst limit whose every measure is reached, or the choice's own. null while nothing
 * was seen, or while a measure that could make it worse is missing.
 */
export function judge(rule: InspectionRule, { choice, values }: Seen): InspectionVerdict | null {
  const picked = rule.choices.find((c) => c.id === choice)?.verdict ?? null;
  if (rule.measures.length === 0) return picked;
  if (rule.measures.some((m) => values[m.id] === undefined)) return picked;
  const all = { ...values, ...derivedValue(rule, values) };
  const reached = rule.limits.find((limit) =>
    Object.entries(limit.when).every(([name, from]) => all[name]! >= from - HAIR),
  );
  const measured = reached?.verdict ?? 'pass';
  return picked === null ? measured : worse(picked, measured);
}

/** What two rounded figures may differ by without being different, core units. */
const HAIR = 1e-6;

/** What follows from a verdict, in words. */
export function consequences(rule: InspectionRule, verdict: InspectionVerdict): string[] {
  const renew = verdict === 'replace' || verdict === 'stop';
  return [
    ...(verdict === 'stop' ? ['Not to be driven or towed until it is mended.'] : []),
    ...(renew && rule.pair ? ['Renew both sides: the other one has lived the same life.'] : []),
    ...(renew && rule.order.length > 0 ? [`Order: ${rule.order.join('; ')}.`] : []),
  ];
}
