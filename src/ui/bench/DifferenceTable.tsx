'use client';
import { type DifferenceRow } from '@/core/bench/compare';
import { decimalText } from '@/core/units/format';
import { Mark } from '../controls/Mark';
import { Length } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';

const FORMS: Record<string, string> = { upturned: 'upturned', berlin: 'centred', downturned: 'downturned' };

function Cell({
  value,
  unit,
  signed = false,
}: {
  value: number | string | null;
  unit: DifferenceRow['unit'];
  signed?: boolean;
}) {
  if (value === null) return <span className="muted">not known</span>;
  if (typeof value === 'string') return <>{FORMS[value] ?? value}</>;
  if (unit === 'mm') return <Length mm={value} signed={signed} />;
  if (unit === 'N/mm' || unit === 'kg')
    return (
      <>
        {signed && value > 0 ? '+' : ''}
        <Quantity value={value} of={unit === 'kg' ? 'mass' : 'rate'} digits={1} />
      </>
    );
  const digits = unit === 'count' ? 0 : 1;
  return (
    <span className="figure">
      {signed && value > 0 ? '+' : ''}
      {decimalText(value, digits)}
      {unit === 'count' ? '' : ` ${unit}`}
    </span>
  );
}

/** Two packs side by side, with what differs marked. */
export function DifferenceTable({ rows, one, other }: { rows: readonly DifferenceRow[]; one: string; other: string }) {
  return (
    <div className="scroll">
      <table className="plain difference" aria-label={`${one} beside ${other}`}>
        <thead>
          <tr>
            <th scope="col">what</th>
            <th scope="col">{one}</th>
            <th scope="col">{other}</th>
            <th scope="col" className="number">
              difference
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.what} data-look={row.look}>
              <th scope="row">{row.what}</th>
              <td>
                <Cell value={row.one} unit={row.unit} />
              </td>
              <td>
                <Cell value={row.other} unit={row.unit} />
              </td>
              <td className="number">
                {row.look ? (
                  <span className="look">
                    <Mark kind="look" />{' '}
                  </span>
                ) : null}
                {row.difference === null ? (
                  row.look ? (
                    'differs'
                  ) : (
                    ''
                  )
                ) : (
                  <Cell value={row.difference} unit={row.unit} signed />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
