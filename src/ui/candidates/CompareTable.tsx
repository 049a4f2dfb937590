'use client';
import { type Ranked } from '@/core/selection/search';
import { decimalText, priceText } from '@/core/units/format';
import { Length } from '../measured/Figure';
import { useQuantityText } from '../measured/Quantity';
import { stateIn } from './CandidateTable';

interface Props {
  found: readonly Ranked[];
  states: readonly { id: string; name: string }[];
  tolerance: number;
  label: string;
}

/** Candidates and plans side by side, beside how it stands today. */
export function CompareTable({ found, states, tolerance, label }: Props) {
  const text = useQuantityText();
  const today = found[0]!;
  const row = (name: string, of: (r: Ranked) => React.ReactNode, now: React.ReactNode = '') => (
    <tr key={name}>
      <th scope="row">{name}</th>
      <td className="figure muted">{now}</td>
      {found.map((r) => (
        <td key={r.candidate.id} className="figure">
          {of(r)}
        </td>
      ))}
    </tr>
  );
  const hz = (value: number | null) => (value === null ? '?' : `${decimalText(value, 2)} Hz`);
  return (
    <div className="scroll">
      <table className="plain difference" aria-label={label}>
        <thead>
          <tr>
            <th scope="col">what</th>
            <th scope="col">today</th>
            {found.map((r) => (
              <th key={r.candidate.id} scope="col">
                {r.candidate.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {states.map((s) =>
            row(`higher by, ${s.name}`, (r) => <Length mm={stateIn(r, s.id).change} signed />, <Length mm={0} />),
          )}
          {row('from the wish', (r) => (
            <span className={Math.abs(r.off) > tolerance ? 'look' : ''}>
              <Length mm={r.off} signed />
            </span>
          ))}
          {states.map((s) =>
            row(`bounce, ${s.name}`, (r) => hz(stateIn(r, s.id).frequency), hz(stateIn(today, s.id).frequencyBefore)),
          )}
          {row(
            'rate',
            (r) => text(r.states[0]!.rate, 'rate'),
            text(today.states[0]!.rate / (1 + today.states[0]!.rateShare), 'rate'),
          )}
          {row(
            'working stress at most',
            (r) =>
              r.stressed.state === 'does not fit' ? (
                <span className="stop-word">STOP {decimalText(Math.max(...r.states.map((s) => s.stress)), 0)} MPa</span>
              ) : (
                `${decimalText(Math.max(...r.states.map((s) => s.stress)), 0)} MPa`
              ),
            `${decimalText(Math.max(...today.states.map((s) => s.stressBefore)), 0)} MPa`,
          )}
          {row('axle turns', (r) => `${decimalText((r.states[0]!.noseUp * 180) / Math.PI, 1)}°`, '0.0°')}
          {row('old U-bolts', (r) => r.ubolt, 'as they are')}
          {row('parts with U-bolts, both sides', (r) => (r.price === null ? '?' : priceText(r.price)))}
          {row('here in', (r) => (r.days === null ? '?' : r.days === 0 ? 'now' : `${r.days} days`))}
          {row('used parts', (r) => (r.candidate.parts.some((p) => p.used) ? 'yes' : 'no'))}
        </tbody>
      </table>
    </div>
  );
}
