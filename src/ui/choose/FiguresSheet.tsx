import { type ReactNode } from 'react';
import { type SidePrediction, type SpringFigures, type StatePrediction } from '@/core/height/predict';
import { smallBumpRate } from '@/core/height/load';
import { ENDLESS } from '@/core/leafpack/stress';
import { decimalText } from '@/core/units/format';
import { Sheet } from '../controls/Sheet';
import { Length } from '../measured/Figure';

interface Props {
  side: SidePrediction;
  state: StatePrediction;
}

/** A ripple of the road, mm. */
const SMALL_BUMP = 5;

/** Cycles in the round words that so wide a band deserves. */
function lifeText({ least, most }: { least: number; most: number }): string {
  const words = (cycles: number): string => {
    if (cycles >= ENDLESS) return 'no end';
    if (cycles < 1000) return 'under 1,000';
    const step = 10 ** Math.floor(Math.log10(Math.max(1, cycles)));
    return (Math.round(cycles / step) * step).toLocaleString('en-GB');
  };
  if (least >= ENDLESS) return 'no end foreseen';
  return words(least) === words(most) ? words(least) : `${words(least)} to ${words(most)}`;
}

/** What the spring does before and after in the load state shown, and the handbook's word beside the model's. */
export function FiguresSheet({ side, state }: Props) {
  const { old, built } = state;
  const rows: { name: string; of: (f: SpringFigures) => ReactNode }[] = [
    { name: 'Loaded arch, eye line to leaf middle', of: (f) => <Length mm={f.arch} /> },
    { name: 'Rate on ride height', of: (f) => <span className="figure">{decimalText(f.rate, 1)} N/mm</span> },
    {
      name: `Rate of a small bump, ± ${SMALL_BUMP} mm, friction and all`,
      of: (f) => (
        <span className="figure">
          {decimalText(smallBumpRate(f.rate, f.frictionHeight * f.rate, SMALL_BUMP), 0)} N/mm
        </span>
      ),
    },
    {
      name: 'Bounces at',
      of: (f) =>
        f.frequency === null ? (
          'load of both sides needed'
        ) : (
          <span className="figure">{f.frequency.toFixed(2)} Hz</span>
        ),
    },
    {
      name: 'Shackle angle',
      of: (f) => <span className="figure">{((f.shackleAngle * 180) / Math.PI).toFixed(0)}°</span>,
    },
    {
      name: 'Highest bending stress, from the free leaf',
      of: ({ peakStress }) => {
        const peak = Math.max(...peakStress);
        return (
          <span className="figure">
            {peak.toFixed(0)} MPa, leaf {peakStress.indexOf(peak) + 1}
          </span>
        );
      },
    },
    {
      name: 'Swings of ± a quarter of the load until a crack: an indication, never a distance to drive',
      of: ({ life }) => (life ? <span className="figure">{lifeText(life)}</span> : 'not found'),
    },
    { name: 'Friction holds height ±', of: (f) => <Length mm={f.frictionHeight} /> },
  ];
  return (
    <Sheet title="The spring before and after" aside={<span className="muted">{state.name}</span>}>
      <div className="scroll">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col" className="number">
                was
              </th>
              <th scope="col" className="number">
                becomes
              </th>
            </tr>
          </thead>
          <tbody>
            {side.assembled ? (
              <tr>
                <td>Arch with nothing on it, U-bolts tight</td>
                <td className="number muted">
                  <Length mm={side.assembled.before} />
                </td>
                <td className="number">
                  <Length mm={side.assembled.after} />
                </td>
              </tr>
            ) : null}
            {rows.map((row) => (
              <tr key={row.name}>
                <td>{row.name}</td>
                <td className="number muted">{old ? row.of(old) : ''}</td>
                <td className="number">{built ? row.of(built) : ''}</td>
              </tr>
            ))}
            {side.handbook && built && old ? (
              <tr>
                <td>
                  Handbook rate <span className="muted">(full contact, no gaps: an estimate)</span>
                </td>
                <td className="number muted">
                  <span className="figure">{decimalText(side.handbook.rateBefore, 1)} N/mm</span>
                </td>
                <td className="number muted">
                  <span className="figure">{decimalText(side.handbook.rateAfter, 1)} N/mm</span>
                </td>
              </tr>
            ) : null}
          </tbody>
        </table>
      </div>
      <p className="muted small">
        Rate is not rating: the axle, tyre, wheel, hanger or plate with the lowest figure decides the load.
      </p>
    </Sheet>
  );
}
