import { type FieldRule } from '../units/parse';

/** From good to bad; a worse one outweighs any number of better ones. */
export const VERDICTS = ['pass', 'watch', 'service', 'replace', 'stop'] as const;
export type InspectionVerdict = (typeof VERDICTS)[number];
export const worse = (p: InspectionVerdict, q: InspectionVerdict): InspectionVerdict =>
  VERDICTS.indexOf(p) >= VERDICTS.indexOf(q) ? p : q;

/** Where a rule comes from. A law is paraphrased from memory with its section; the law itself decides. */
export type RuleSource = { kind: 'law'; cite: string } | { kind: 'practice' };

export interface Measure {
  id: string;
  label: string;
  rule: FieldRule;
}
/** Reached when every named measure is at least this much, core units. */
export interface Limit {
  verdict: InspectionVerdict;
  /** A value to start from, chosen here and no rule of the trade: a shop sets its own. */
  start?: true;
  when: Record<string, number>;
}
export interface Choice {
  id: string;
  text: string;
  verdict: InspectionVerdict;
}

export interface InspectionRule {
  sheet: SheetId;
  what: string;
  how: string;
  choices: readonly Choice[];
  measures: readonly Measure[];
  /** A figure that follows from two measures. */
  derived?: { id: string; what: string; of: string; less: string };
  /** Worst first. */
  limits: readonly Limit[];
  source: RuleSource;
  /** Renewed on both sides together, once one side must be. */
  pair: boolean;
  /** What else to order when it is replaced. */
  order: readonly string[];
  /** Read once for the axle, not on each side. */
  once: boolean;
  /** Asks on which leaf and where along it. */
  place: boolean;
}

export const SHEETS = {
  leaves: 'Leaves',
  coils: 'Coils',
  bolts: 'Centre bolt and U-bolts',
  hangers: 'Hangers, shackles, pivots',
  links: 'Arms and track rod',
  steering: 'Kingpins and tie rods',
  bushes: 'Bushes',
  stops: 'Stops and shocks',
  axle: 'Axle',
} as const;
export type SheetId = keyof typeof SHEETS;

/** 49 CFR 393.207 and the inspection standards of Part 396, paraphrased from memory. */
export const LAW: RuleSource = { kind: 'law', cite: '49 CFR 393.207 and Part 396 appendix, paraphrased from memory' };
const PRACTICE: RuleSource = { kind: 'practice' };

type More = Partial<Omit<InspectionRule, 'sheet' | 'what' | 'how' | 'choices'>>;
export const seen = (
  sheet: SheetId,
  what: string,
  how: string,
  choices: readonly [id: string, text: string, verdict: InspectionVerdict][],
  more: More = {},
): InspectionRule => ({
  sheet,
  what,
  how,
  choices: choices.map(([id, text, verdict]) => ({ id, text, verdict })),
  measures: [],
  limits: [],
  source: PRACTICE,
  pair: false,
  order: [],
  once: false,
  place: false,
  ...more,
});
export const measure = (id: string, label: string, rule: FieldRule): Measure => ({ id, label, rule });
