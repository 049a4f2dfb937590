'use client';
import { type Reach } from '@/core/prediction/ledger';
import { Z90 } from '@/core/estimate/estimate';
import { useWidth } from '../drawing/useWidth';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';

interface Props {
  /** As it stands, and as it is foretold, mm: heights, or changes from 0. */
  was: number;
  will: number;
  /** How far nine in ten outcomes reach about what is foretold, mm. */
  reach: Reach;
  wish: { target: number; tolerance: number } | null;
  spoken: string;
}

const CURVE = 34;
const TAPE = 17;
/** Half-widths of a band that a curve is drawn over, and its steps. */
const TAIL = 1.6;
const STEPS = 60;
/** Least distance of two figures under the tape, px. */
const APART = 44;

/** Wish, spread of the outcomes and what stands today on one ruler; of the spread only what lies inside the wish is filled. */
export function ChanceRuler({ was, will, reach, wish, spoken }: Props) {
  const [box, width] = useWidth<HTMLElement>(328);
  const { lengths } = useView();
  const text = useLengthText();
  const ends = wish ? [wish.target - wish.tolerance, wish.target + wish.tolerance] : [];
  const all = [was, will - TAIL * reach.below, will + TAIL * reach.above, ...ends];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const pad = Math.max(2, (most - least) * 0.05);
  const x = (mm: number) => ((mm - least + pad) / (most - least + 2 * pad)) * width;
  // Each half of the spread is a half of a normal curve of its own width; their areas are alike.
  const tall = (mm: number) => {
    const half = Math.max(mm < will ? reach.below : reach.above, 0.5);
    const narrow = Math.min(reach.below, reach.above, half);
    return (CURVE - 4) * (Math.max(narrow, 0.5) / half) * Math.exp(-(((mm - will) * Z90) ** 2) / (2 * half * half));
  };
  const places = Array.from(
    { length: STEPS + 1 },
    (_, k) => will - TAIL * reach.below + (TAIL * (reach.below + reach.above) * k) / STEPS,
  );
  const area = (from: number, to: number) => {
    const inside = [from, ...places.filter((mm) => mm > from && mm < to), to];
    return `M${x(from).toFixed(1)} ${CURVE}${inside.map((mm) => `L${x(mm).toFixed(1)} ${(CURVE - tall(mm)).toFixed(1)}`).join('')}L${x(to).toFixed(1)} ${CURVE}Z`;
  };
  const step = (lengths === 'mm' ? [1, 5, 10, 20, 50] : [25.4 / 16, 25.4 / 4, 25.4 / 2, 25.4, 50.8]).find(
    (mm) => x(mm) - x(0) > 8,
  );
  const tick = step ?? 50;
  const ticks = Array.from(
    { length: Math.max(0, Math.floor((most + pad) / tick) - Math.ceil((least - pad) / tick) + 1) },
    (_, k) => x((Math.ceil((least - pad) / tick) + k) * tick),
  );
  const bare = (mm: number) => text(mm).replace(/ (mm|in)$/, '');
  // What stands today first, then the ends of the wish; what would lie on another figure is left out.
  const named: { at: number; text: string; ink: string }[] = [];
  for (const [mm, word, ink] of [
    [was, `was ${bare(was)}`, 'var(--graphite)'],
    ...ends.map((mm): [number, string, string] => [mm, bare(mm), 'var(--new)']),
  ] as [number, string, string][]) {
    const wide = word.length * 5;
    const at = Math.min(width - wide, Math.max(wide, x(mm)));
    if (named.every((n) => Math.abs(n.at - at) > Math.max(APART, wide + n.text.length * 5 + 4)))
      named.push({ at, text: word, ink });
  }
  const [low, high] = [Math.max(places[0]!, ends[0] ?? Infinity), Math.min(places.at(-1)!, ends[1] ?? -Infinity)];
  return (
    <figure className="figure-sheet chance-ruler" ref={box}>
      <svg className="drawing" viewBox={`0 0 ${width} ${CURVE + TAPE + 21}`} role="img" aria-label={spoken}>
        <path d={area(places[0]!, places.at(-1)!)} fill="none" stroke="var(--graphite)" strokeWidth="1" />
        {low < high ? <path d={area(low, high)} fill="var(--new)" fillOpacity="0.55" /> : null}
        <rect x="0" y={CURVE} width={width} height={TAPE} fill="var(--tape)" stroke="var(--rule)" />
        {ends.length === 2 ? (
          <rect
            x={x(ends[0]!)}
            y={CURVE}
            width={x(ends[1]!) - x(ends[0]!)}
            height={TAPE}
            fill="var(--new-wash)"
            stroke="var(--new)"
          />
        ) : null}
        <path
          d={ticks.map((at) => `M${at.toFixed(1)} ${CURVE + TAPE}v-7`).join('')}
          stroke="var(--ink)"
          strokeWidth="1"
        />
        <path
          d={`M${x(was).toFixed(1)} ${CURVE + TAPE}l-5 -9h10Z`}
          fill="var(--sheet)"
          stroke="var(--graphite)"
          strokeWidth="1.4"
        />
        <path d={`M${x(will).toFixed(1)} 2V${CURVE + TAPE}`} stroke="var(--ink)" strokeWidth="2.4" />
        {named.map((n) => (
          <text key={n.text} x={n.at} y={CURVE + TAPE + 16} textAnchor="middle" className="num" style={{ fill: n.ink }}>
            {n.text}
          </text>
        ))}
      </svg>
    </figure>
  );
}
