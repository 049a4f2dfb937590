'use client';
import { useState } from 'react';
import { type Ranked } from '@/core/selection/search';
import { decimalText, priceText } from '@/core/units/format';
import { Mark } from '../controls/Mark';
import { Length } from '../measured/Figure';

interface Props {
  found: readonly Ranked[];
  wantedState: string;
  emptyState: string;
  picked: string | null;
  beside: readonly string[];
  onPick: (id: string) => void;
  onBeside: (id: string) => void;
}

type Column = 'near' | 'ride' | 'stress' | 'price' | 'days';
const COLUMNS: { id: Column; name: string; of: (r: Ranked, wanted: string) => number }[] = [
  { id: 'near', name: 'off by', of: (r) => r.score * 1000 },
  { id: 'ride', name: 'rate, bounce', of: (r, wanted) => stateIn(r, wanted).rateShare },
  { id: 'stress', name: 'stress, MPa', of: (r) => worst(r) },
  { id: 'price', name: 'parts', of: (r) => r.price ?? Infinity },
  { id: 'days', name: 'here in', of: (r) => r.days ?? Infinity },
];

export const stateIn = (r: Ranked, id: string) => r.states.find((s) => s.id === id) ?? r.states[0]!;

const worst = (r: Ranked): number => Math.max(...r.states.map((s) => s.stress));
const before = (r: Ranked): number => Math.max(...r.states.map((s) => s.stressBefore));

/** Lines shown before all are asked for. */
const FIRST = 12;

/** Most candidates that stand side by side. */
export const MOST_BESIDE = 4;

/** Candidates as plain lines, nearest first or by any column. */
export function CandidateTable({ found, wantedState, emptyState, picked, beside, onPick, onBeside }: Props) {
  const [by, setBy] = useState<Column>('near');
  const of = COLUMNS.find((c) => c.id === by)!.of;
  const [all, setAll] = useState(false);
  const sorted =
    by === 'near' ? found : found.toSorted((p, q) => of(p, wantedState) - of(q, wantedState) || 0 || p.score - q.score);
  return (
    <div className="scroll">
      <table className="plain candidates">
        <thead>
          <tr>
            <th scope="col">way</th>
            {COLUMNS.map((c) => (
              <th key={c.id} scope="col" className="number" aria-sort={by === c.id ? 'ascending' : 'none'}>
                <button type="button" className="link" onClick={() => setBy(c.id)}>
                  {c.name}
                  {by === c.id ? ' ↓' : ''}
                </button>
              </th>
            ))}
            <th scope="col">beside</th>
          </tr>
        </thead>
        <tbody>
          {sorted.slice(0, all ? undefined : FIRST).map((r) => {
            const { candidate } = r;
            const wanted = stateIn(r, wantedState);
            const empty = stateIn(r, emptyState);
            return (
              <tr key={candidate.id} aria-selected={candidate.id === picked} data-candidate={candidate.id}>
                <td>
                  <button type="button" className="link way" onClick={() => onPick(candidate.id)}>
                    {candidate.name}
                  </button>
                  {r.ubolt !== 'fits' || r.stressed.state !== 'fits' || candidate.made.length > 0 ? (
                    <div className="small notes">
                      {r.stressed.state !== 'fits' ? (
                        <>
                          <span className="stop-word">STOP over-stressed</span>
                          {worst(r) <= before(r) ? <span className="muted">no more than today</span> : null}
                        </>
                      ) : null}
                      {r.ubolt !== 'fits' ? (
                        <span className={r.ubolt === 'not checked' ? 'muted' : 'look'}>
                          <Mark kind={r.ubolt === 'not checked' ? 'untouched' : 'look'} />{' '}
                          {r.ubolt === 'not checked'
                            ? 'U-bolts not checked'
                            : r.uboltPart
                              ? `new U-bolts, ${r.uboltPart.name}`
                              : 'new U-bolts, none on the shelf suits'}
                        </span>
                      ) : null}
                      {candidate.made.length > 0 ? <span className="muted">{candidate.made.join(', ')}</span> : null}
                    </div>
                  ) : null}
                </td>
                <td className="number">
                  <Length mm={r.off} signed />
                </td>
                <td className="number figure">
                  {wanted.rateShare > 0 ? '+' : ''}
                  {decimalText(100 * wanted.rateShare, 0)} %
                  {empty.frequency !== null ? (
                    <div className="muted small">
                      {decimalText(empty.frequency, 2)} / {decimalText(wanted.frequency ?? 0, 2)} Hz
                    </div>
                  ) : null}
                </td>
                <td className="number figure">
                  {decimalText(worst(r), 0)}
                  <div className="muted small">was {decimalText(before(r), 0)}</div>
                </td>
                <td className="number figure">{r.price === null ? '?' : priceText(r.price)}</td>
                <td className="number figure">{r.days === null ? '?' : r.days === 0 ? 'now' : `${r.days} d`}</td>
                <td>
                  <label className="beside-box">
                    <input
                      type="checkbox"
                      className="beside"
                      aria-label={`${candidate.name} side by side`}
                      checked={beside.includes(candidate.id)}
                      disabled={!beside.includes(candidate.id) && beside.length >= MOST_BESIDE}
                      onChange={() => onBeside(candidate.id)}
                    />
                  </label>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {found.length > FIRST ? (
        <button type="button" className="link" onClick={() => setAll(!all)}>
          {all ? `Only the first ${FIRST}` : `All ${found.length}`}
        </button>
      ) : null}
    </div>
  );
}
