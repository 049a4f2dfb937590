'use client';
import { type Ranked } from '@/core/selection/search';
import { decimalText, priceText } from '@/core/units/format';
import { Length } from '../measured/Figure';
import { stateIn } from './CandidateTable';

interface Props {
  found: readonly Ranked[];
  states: readonly { id: string; name: string }[];
}

/** Up to four candidates side by side. */
export function CompareTable({ found, states }: Props) {
  const row = (name: string, of: (r: Ranked) => React.ReactNode) => (
    <tr key={name}>
      <th scope="row">{name}</th>
      {found.map((r) => (
        <td key={r.candidate.id} className="figure">
          {of(r)}
        </td>
      ))}
    </tr>
  );
  return (
    <div className="scroll">
      <table className="plain difference" aria-label="Side by side">
        <thead>
          <tr>
            <th scope="col">what</th>
            {found.map((r) => (
              <th key={r.candidate.id} scope="col">
                {r.candidate.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {states.map((s) => row(`higher by, ${s.name}`, (r) => <Length mm={stateIn(r, s.id).change} signed />))}
          {states.map((s) =>
            row(`bounce, ${s.name}`, (r) => {
              const { frequency } = stateIn(r, s.id);
              return frequency === null ? '?' : `${decimalText(frequency, 2)} Hz`;
            }),
          )}
          {row('rate', (r) => `${decimalText(r.states[0]!.rate, 0)} N/mm`)}
          {row('stress at most', (r) => `${decimalText(Math.max(...r.states.map((s) => s.stress)), 0)} MPa`)}
          {row('axle turns', (r) => `${decimalText((r.states[0]!.noseUp * 180) / Math.PI, 1)}°`)}
          {row('old U-bolts', (r) => r.ubolt)}
          {row('parts, both sides', (r) => (r.price === null ? '?' : priceText(r.price)))}
          {row('here in', (r) => (r.days === null ? '?' : r.days === 0 ? 'now' : `${r.days} days`))}
          {row('used parts', (r) => (r.candidate.parts.some((p) => p.used) ? 'yes' : 'no'))}
        </tbody>
      </table>
    </div>
  );
}
