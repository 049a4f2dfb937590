'use client';
import { ledgerBars, printedLedger, type LedgerLine } from '@/core/prediction/ledger';
import { Length, useLedgerStep } from '../measured/Figure';

interface Props {
  lines: readonly LedgerLine[];
  /** 90 % half-width of the total, mm. */
  half: number;
  spoken: string;
}

/** The ledger to scale, a line under the other: each bar begins where the last one ended; whiskers are the 90 % half-widths. */
export function Waterfall({ lines, half, spoken }: Props) {
  const step = useLedgerStep();
  // The same rounded figures as in the table, so that both add up alike.
  const printed = printedLedger(lines, step).map((line) => ({ ...line, value: line.steps * step }));
  const start = printed.find((l) => l.kind === 'measured')?.value ?? 0;
  const bars = ledgerBars(printed).filter(
    ({ line }) => line.kind === 'measured' || line.value !== 0 || line.half90 !== 0,
  );
  const spreadOf = (line: LedgerLine) => (line.kind === 'total' ? half : line.kind === 'measured' ? 0 : line.half90);
  // All from today's height: that line itself is a mark, not a bar.
  const ends = bars.map(({ line, from, to }) => ({
    line,
    a: line.kind === 'measured' ? 0 : line.kind === 'total' ? 0 : from - start,
    b: to - start,
    spread: spreadOf(line),
  }));
  const [least, most] = [
    Math.min(0, ...ends.flatMap(({ a, b, spread }) => [a, b - spread])),
    Math.max(0, ...ends.flatMap(({ a, b, spread }) => [a, b + spread])),
  ];
  const share = (mm: number) => (100 * (mm - least)) / Math.max(1, most - least);
  const per = (value: number) => `${value.toFixed(2)}%`;
  return (
    <ol className="adds-up" aria-label={spoken}>
      {ends.map(({ line, a, b, spread }, k) => {
        const whole = line.kind === 'measured' || line.kind === 'total';
        return (
          <li key={k} data-bar={line.kind}>
            <span className="adds-label" title={line.label}>
              {line.label}
            </span>
            <span className="adds-track" aria-hidden="true">
              <span className="adds-today" style={{ left: per(share(0)) }} />
              <span
                className="adds-bar"
                style={{ left: per(share(Math.min(a, b))), width: per(share(Math.max(a, b)) - share(Math.min(a, b))) }}
              />
              {spread > 0 ? (
                <span
                  className="adds-spread"
                  style={{ left: per(share(b - spread)), width: per(share(b + spread) - share(b - spread)) }}
                />
              ) : null}
            </span>
            <Length mm={line.value} signed={!whole} unit={false} />
          </li>
        );
      })}
    </ol>
  );
}
