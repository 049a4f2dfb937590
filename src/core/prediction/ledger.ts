/** Lines that every ledger has; between them stand the changes of the axle's own kind. */
export const FRAME_LINES = ['measured', 'load', 'together', 'total', 'settling'] as const;

export interface Reach {
  below: number;
  above: number;
}

/** A band that reaches further one way than the other by more than this share of its wider side is told as its two ends. Chosen. */
const SKEWED = 0.2;
export const isSkewed = ({ below, above }: Reach): boolean => Math.abs(below - above) > SKEWED * Math.max(below, above);

/** One line of a height ledger, mm; `half90` is its 90 % half-width. */
export interface LedgerLine<L extends string = string> {
  /** How far a band that is no even ± reaches below and above the value, mm; `half90` is then its wider side. */
  reach?: Reach;
  kind: (typeof FRAME_LINES)[number] | L;
  label: string;
  value: number;
  half90: number;
}

/** Sum of the lines of one kind, mm; 0 when there is none. */
export const ledgerValue = (lines: readonly LedgerLine[], kind: LedgerLine['kind']): number =>
  lines.reduce((sum, line) => (line.kind === kind ? sum + line.value : sum), 0);

/** What a ledger says, mm. Heights are null without a before height. */
export interface LedgerSummary {
  /** Height in this load state before the work. */
  before: number | null;
  /** Height in this load state as built. */
  after: number | null;
  /** What the work changes in this load state. */
  change: number;
  /** 90 % half-width of the total, and how far its band reaches either way. */
  half: number;
  reach: Reach;
}

/** Reads before, after and change off a ledger. */
export function summarise(lines: readonly LedgerLine[]): LedgerSummary {
  const total = lines.find((line) => line.kind === 'total');
  const measured = lines.find((line) => line.kind === 'measured');
  const load = ledgerValue(lines, 'load');
  const sum = total?.value ?? 0;
  return {
    before: measured ? measured.value + load : null,
    after: measured ? sum : null,
    change: sum - (measured?.value ?? 0) - load,
    half: total?.half90 ?? 0,
    reach: total?.reach ?? { below: total?.half90 ?? 0, above: total?.half90 ?? 0 },
  };
}

/** A ledger line with the figure as it will be printed, in steps. */
export interface PrintedLine extends LedgerLine {
  /** Whole steps of the printing resolution. */
  steps: number;
}

/**
 * Rounds a ledger so that printed figures add up as printed: every line is rounded on its own and the line
 * "acting together" takes what is left between the rounded total and the rounded sum.
 * @param lines in order; exactly one `total` and at least one `together` @param step printing resolution, mm
 */
export function printedLedger(lines: readonly LedgerLine[], step: number): PrintedLine[] {
  const printed = lines.map((line) => ({ ...line, steps: Math.round(line.value / step) }));
  const total = printed.find((line) => line.kind === 'total');
  const together = printed.find((line) => line.kind === 'together');
  if (total && together) {
    const others = printed
      .filter((line) => line !== total && line !== together && line.kind !== 'settling')
      .reduce((sum, line) => sum + line.steps, 0);
    together.steps = total.steps - others;
  }
  return printed;
}

/** A ledger line as a bar: where it begins and where it ends, mm. */
export interface LedgerBar {
  line: LedgerLine;
  from: number;
  to: number;
}

/** The lines of a ledger one after the other, each beginning where the last one ended; start and total stand on the ground of the drawing. */
export function ledgerBars(lines: readonly LedgerLine[]): LedgerBar[] {
  let at = 0;
  return lines.map((line): LedgerBar => {
    if (line.kind === 'measured' || line.kind === 'total') {
      at = line.value;
      return { line, from: 0, to: at };
    }
    const from = at;
    at += line.value;
    return { line, from, to: at };
  });
}
