import { type ReactNode } from 'react';
import { type LeafSide, type LeafState } from '@/core/suspension/longitudinalLeaf/onPage';
import { type LeafFigures } from '@/core/suspension/longitudinalLeaf/figures';
import { lifeWithin } from '@/core/suspension/longitudinalLeaf/life';
import { smallBumpRate } from '@/core/vehicle/load';
import { ENDLESS, STRESS_SOURCE } from '@/core/mechanics/leafpack/stress';
import { GRAVITY, SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { Sheet } from '../../controls/Sheet';
import { Length } from '../../measured/Figure';
import { Quantity, useWords } from '../../measured/Quantity';

interface Props {
  side: LeafSide;
  state: LeafState;
  /** Where nine of ten outcomes of the planned spring's highest stress lie, MPa; undefined while it is not drawn. */
  stress: { low: number; high: number } | undefined;
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

interface StressProps {
  values: readonly number[];
  limit: number;
  /** Its 90 % band, MPa. */
  band?: { low: number; high: number } | undefined;
}

/** The leaf stressed most, with STOP past the limit of its kind. */
function Stress({ values, limit, band }: StressProps) {
  const worst = values.reduce((w, v, i) => (Math.abs(v) > Math.abs(values[w]!) ? i : w), 0);
  const value = Math.abs(values[worst] ?? 0);
  return (
    <span className={value > limit ? 'stop-word' : ''}>
      {value > limit ? 'STOP ' : ''}
      <span className="figure">
        {value.toFixed(0)} MPa, leaf {worst + 1}
      </span>
      {band ? (
        <span className={`small under ${value <= limit && band.high > limit ? 'look' : 'muted'}`}>
          {`nine in ten ${band.low.toFixed(0)} to ${band.high.toFixed(0)}`}
          {value <= limit && band.high > limit ? ', may be past its limit' : ''}
        </span>
      ) : null}
    </span>
  );
}

/** What the spring does before and after in the load state shown, and the handbook's word beside the model's. */
export function FiguresSheet({ side, state, stress }: Props) {
  const { old, built } = state;
  const words = useWords();
  const rows: { name: string; of: (f: LeafFigures, planned: boolean) => ReactNode }[] = [
    { name: 'Loaded arch, eye line to leaf middle', of: (f) => <Length mm={f.arch} /> },
    ...(built?.helper
      ? [
          {
            name: 'Helper springs carry, of it',
            of: (f: LeafFigures) => <Quantity value={(f.helper?.force ?? 0) / GRAVITY} of="mass" digits={0} />,
          },
          {
            name: 'Pressed together',
            of: (f: LeafFigures) => (f.helper ? <Length mm={Math.max(0, f.helper.pressed)} /> : 'none there'),
          },
        ]
      : []),
    { name: 'Rate on ride height', of: (f) => <Quantity value={f.rate} of="rate" digits={1} /> },
    {
      name: words(`Rate of a small bump, ± ${SMALL_BUMP} mm, friction and all`),
      of: (f) => <Quantity value={smallBumpRate(f.rate, f.frictionHeight * f.rate, SMALL_BUMP)} of="rate" />,
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
      of: (f) =>
        f.shackleAngle === null ? (
          'on a pad'
        ) : (
          <span className="figure">{((f.shackleAngle * 180) / Math.PI).toFixed(0)}°</span>
        ),
    },
    {
      name: `Nominal stress, by load and sizes alone; limit standing ${SPRING_STEEL_LIMITS.static} MPa (${STRESS_SOURCE})`,
      of: ({ nominalStress }) =>
        nominalStress ? (
          <Stress values={nominalStress} limit={SPRING_STEEL_LIMITS.static} />
        ) : (
          'not told by an older core'
        ),
    },
    {
      name: `Highest working stress outside the seat; limit of a peak ${SPRING_STEEL_LIMITS.peak} MPa (1.4 times the nominal one, chosen)`,
      of: ({ peakStress }, planned) => (
        <Stress values={peakStress} limit={SPRING_STEEL_LIMITS.peak} band={planned ? stress : undefined} />
      ),
    },
    {
      name: `Flattened in the clamp, static; limit yield ${SPRING_STEEL_LIMITS.yield} MPa (${STRESS_SOURCE})`,
      of: ({ clampStress }) =>
        clampStress && clampStress.some((v) => v !== 0) ? (
          <Stress values={clampStress} limit={SPRING_STEEL_LIMITS.yield} />
        ) : (
          'left curved'
        ),
    },
    {
      name: 'Swings of ± a quarter of the load until a crack: an indication, never a distance to drive',
      of: (f, planned) => {
        const life = planned ? lifeWithin(f, stress) : f.life;
        return life ? <span className="figure">{lifeText(life)}</span> : 'not found';
      },
    },
    ...((built ?? old)?.wrap === undefined
      ? []
      : [
          {
            name: 'Winds up, under each 1,000 N·m (738 lbf·ft) of braking or driving at this spring',
            of: (f: LeafFigures) =>
              f.wrap === undefined ? (
                'not found'
              ) : (
                <span className="figure">{((Math.abs(f.wrap) * 1e6 * 180) / Math.PI).toFixed(1)}°</span>
              ),
          },
        ]),
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
                <td className="number muted">{old ? row.of(old, false) : ''}</td>
                <td className="number">{built ? row.of(built, true) : ''}</td>
              </tr>
            ))}
            {side.handbook && built && old ? (
              <tr>
                <td>
                  Handbook rate <span className="muted">(full contact, no gaps: an estimate)</span>
                </td>
                <td className="number muted">
                  <Quantity value={side.handbook.rateBefore} of="rate" digits={1} />
                </td>
                <td className="number muted">
                  <Quantity value={side.handbook.rateAfter} of="rate" digits={1} />
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
