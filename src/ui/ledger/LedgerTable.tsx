'use client';
import { printedLedger, type LedgerLine } from '@/core/prediction/ledger';
import { Length, useLedgerStep } from '../measured/Figure';

interface Props {
  lines: readonly LedgerLine[];
  /** 90 % half-width of the total from Monte Carlo; the first-order one stands in until it is there. */
  half: number | undefined;
  caption: string;
}

/** The height ledger: printed figures add up as printed. */
export function LedgerTable({ lines, half, caption }: Props) {
  const step = useLedgerStep();
  return (
    <table className="plain ledger" data-testid="ledger">
      <caption className="hidden-word">{caption}</caption>
      <thead>
        <tr>
          <th scope="col">line</th>
          <th scope="col" className="number">
            height
          </th>
          <th scope="col" className="number">
            90 % ±
          </th>
        </tr>
      </thead>
      <tbody>
        {printedLedger(lines, step).map((line, i) => {
          const value = line.steps * step;
          const start = line.kind === 'measured' || line.kind === 'total';
          const rise = value > 0 ? '↑' : '↓';
          return (
            <tr
              key={i}
              className={line.kind === 'total' ? 'total' : line.kind === 'settling' ? 'later' : ''}
              data-kind={line.kind}
            >
              <td>{line.label}</td>
              <td className="number">
                {start || line.steps === 0 ? '' : <span aria-hidden="true">{rise} </span>}
                <Length mm={value} signed={!start} className={line.kind === 'total' ? 'new' : ''} />
              </td>
              <td className="number muted">
                {line.half90 === 0 ? (
                  ''
                ) : (
                  <Length mm={line.kind === 'total' ? (half ?? line.half90) : line.half90} unit={false} />
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
