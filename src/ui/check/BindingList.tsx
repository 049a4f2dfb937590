'use client';
import { Fragment, useEffect, useState } from 'react';
import Link from 'next/link';
import { SAFETY_TEXT } from '@/contracts/fitText';
import { SUPPORT_ITEMS } from '@/core/procedure/safety';
import { decimalText } from '@/core/units/format';
import { Marked } from '../controls/Mark';
import { Length, PlusMinus, useLengthText } from '../measured/Figure';
import { useWords } from '../measured/Quantity';
import { useView } from '../theme/View';
import { isBeside, type Binding, type PlanMend } from './bindings';

interface Props {
  jobId: string;
  rows: readonly Binding[];
  onMend: (row: Binding, mend: PlanMend) => void;
  working: (row: Binding) => readonly string[];
  /** The Handbook's sum of a row; null where there is none. */
  sum: (row: Binding) => string | null;
}

/** A bar this far from zero fills its half: mm, and rad. */
const WIDEST = { length: 120, angle: 0.1 };

const degrees = (rad: number): string => `${decimalText((rad * 180) / Math.PI, 1)}°`;

/** A figure of a row, in the row's own unit. */
const Left = ({ row, value, signed = false }: { row: Binding; value: number; signed?: boolean }) =>
  row.dimension === 'angle' ? (
    <span className="figure">{degrees(value)}</span>
  ) : (
    <Length mm={value} unit={false} signed={signed} />
  );

/** Everything that binds, tightest first: what was left, what will be left, and what would mend it. */
export function BindingList({ jobId, rows, onMend, working, sum }: Props) {
  const [opened, setOpened] = useState<string | null>(null);
  const [printing, setPrinting] = useState(false);
  // Every reckoning stands on the sheet before it goes to the printer, and is folded again after.
  useEffect(() => {
    if (!printing) return;
    const done = () => setPrinting(false);
    window.addEventListener('afterprint', done);
    window.print();
    return () => window.removeEventListener('afterprint', done);
  }, [printing]);
  const words = useWords();
  const text = useLengthText();
  const { lengths } = useView();
  const mendText = (mend: PlanMend): string => {
    switch (mend.kind) {
      case 'stopPad':
        return `pad the stop ${text(mend.height)}`;
      case 'stopCut':
        return `cut the stop ${text(mend.by)}${mend.marks === null ? '' : mend.marks === 1 ? ', 1 mark' : `, ${mend.marks} marks`}`;
      case 'line':
        return `${text(mend.by)} longer`;
      case 'shock':
        return `shocks ${text(mend.shut)} to ${text(mend.open)}`;
      case 'ubolts':
        return `new set, leg ${text(mend.leg)}`;
      case 'wedge':
        return mend.wedge
          ? `wedge ${decimalText((mend.wedge.angle * 180) / Math.PI, 1)}°, thick end to the ${mend.wedge.thick}`
          : 'wedge out';
    }
  };
  return (
    <>
      <table className="plain bindings">
        <thead>
          <tr>
            <th scope="col">What binds, tightest first</th>
            <th scope="col" className="number">
              was
            </th>
            <th scope="col" className="number">
              will be
            </th>
            <th scope="col">to spare, {lengths}</th>
            <th scope="col">how it stands</th>
            <th scope="col">mend: one touch puts it in the plan</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Fragment key={row.id}>
              <tr
                data-binding={row.id}
                data-state={row.state}
                className={row.state === 'does not fit' ? 'stopped' : ''}
              >
                <td>
                  <button
                    type="button"
                    className="link binding-name"
                    aria-expanded={opened === row.id}
                    onClick={() => setOpened(opened === row.id ? null : row.id)}
                  >
                    {row.name}
                  </button>{' '}
                  <span className="muted small">{row.limit}</span>
                </td>
                <td className="number was">{row.was === null ? '' : <Left row={row} value={row.was} />}</td>
                <td className="number">
                  {row.will === null ? (
                    ''
                  ) : (
                    <strong className={row.state === 'does not fit' ? 'stop-word' : row.state === 'look' ? 'look' : ''}>
                      <Left row={row} value={row.will} />
                    </strong>
                  )}
                  {row.half90 !== null && row.will !== null ? (
                    <>
                      {' '}
                      <span className="muted small">
                        {row.dimension === 'angle' ? (
                          `± ${degrees(row.half90)}`
                        ) : (
                          <PlusMinus mm={row.half90} unit={false} />
                        )}
                      </span>
                    </>
                  ) : null}
                </td>
                <td className="bar">{row.will === null || row.barless ? null : <SpareBar row={row} />}</td>
                <td className="verdict">
                  {row.state === 'does not fit' ? (
                    <span className="stop-word">STOP</span>
                  ) : (
                    <Marked kind={row.state === 'look' ? 'look' : 'done'}>
                      {row.state === 'look' ? 'look' : 'fits'}
                    </Marked>
                  )}
                </td>
                <td className="mends">
                  {row.mend ? (
                    <button type="button" className="act quiet mend" onClick={() => onMend(row, row.mend!.mend)}>
                      {mendText(row.mend.mend)}
                      {row.mend.gives === null ? null : (
                        <span className="new">
                          {' '}
                          → <Left row={row} value={row.mend.gives} signed />
                        </span>
                      )}
                    </button>
                  ) : row.id === 'stopGap' && row.state !== 'fits' ? (
                    <span className="muted small">higher, or a shorter stop</span>
                  ) : row.id === 'threads' && row.state !== 'fits' ? (
                    <Link className="link" href={`/jobs/${jobId}/measure#list`} prefetch={false}>
                      say what their bend lies round
                    </Link>
                  ) : isBeside(row.id) && row.state !== 'fits' ? (
                    <span className="muted small">{words(row.text)}</span>
                  ) : row.limit === '' && row.state !== 'fits' ? (
                    <Link className="link" href={`/jobs/${jobId}/choose#fit`} prefetch={false}>
                      at Choose
                    </Link>
                  ) : null}
                </td>
              </tr>
              {opened === row.id || printing ? (
                <tr className="working-row">
                  <td colSpan={6} className="working">
                    {row.text ? <p>{words(row.text)}</p> : null}
                    {lengths === 'in' ? <p className="muted small">reckoned in millimetres:</p> : null}
                    {working(row).map((line) => (
                      <p key={line} className="figure small">
                        {line}
                      </p>
                    ))}
                    {sum(row) === null ? null : (
                      <Link className="link no-print" href={sum(row)!} prefetch={false}>
                        the same sum in the Handbook, to try other figures
                      </Link>
                    )}
                  </td>
                </tr>
              ) : null}
            </Fragment>
          ))}
        </tbody>
      </table>
      <ul className="print-only">
        {SUPPORT_ITEMS.map((item) => (
          <li key={item}>
            <strong>{SAFETY_TEXT[item].name}:</strong> {SAFETY_TEXT[item].why}
          </li>
        ))}
      </ul>
      <p className="no-print">
        <button type="button" className="link" onClick={() => setPrinting(true)}>
          Print with every reckoning
        </button>
      </p>
    </>
  );
}

/** From zero to the right what is left, to the left what is lacking; the old one dashed above the new one. */
function SpareBar({ row }: { row: Binding }) {
  const widest = row.dimension === 'angle' ? WIDEST.angle : WIDEST.length;
  const bar = (value: number) => {
    const to = Math.max(-50, Math.min(50, (50 * value) / widest));
    return { left: `${50 + Math.min(0, to)}%`, width: `${Math.abs(to)}%` };
  };
  return (
    <div className="spare" aria-hidden="true" title={decimalText(row.will ?? 0, 0)}>
      <span className="spare-zero" />
      {row.was === null ? null : <span className="spare-was" style={bar(row.was)} />}
      <span className={`spare-will ${row.state.replaceAll(' ', '-')}`} style={bar(row.will ?? 0)} />
    </div>
  );
}
