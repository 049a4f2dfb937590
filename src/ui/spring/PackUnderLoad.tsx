import { memo } from 'react';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { hungEye, padFace } from '@/core/suspension/longitudinalLeaf/elevation';
import { type SpringFigure } from '@/workers/springFigure';
import { LeafStroke, leafThick } from '../drawing/LeafStroke';
import { fit, pathOf, type Extent, type Scale } from '../drawing/scale';
import { ScaleBar } from '../drawing/ScaleBar';
import { useRoom } from '../drawing/useRoom';
import { useView } from '../theme/View';

interface Props {
  old: SpringFigure | null;
  built: SpringFigure | null;
  /** Index of an added leaf in the built pack, if any. */
  addedLeaf: number | null;
  /** Kept while the load moves, so that only the spring does. */
  extent: Extent;
  spoken: string;
  /** Leaves or strips alone, where each has a place of its own. */
  only?: 'leaves' | 'stress';
}

/** Room for the leaf's number on the left and its peak stress on the right; less on a narrow sheet. */
const margin = (width: number) =>
  width < 560 ? { left: 44, right: 92, top: 14, bottom: 38 } : { left: 72, right: 130, top: 14, bottom: 38 };
const ROW = 38;

/** A pack leaf by leaf under a load, where its leaves press on one another, and the stress along each of them. */
export const PackUnderLoad = memo(function PackUnderLoad(props: Props) {
  const { old, built, addedLeaf, extent, spoken, only } = props;
  const [box, width, room] = useRoom<HTMLElement>(800);
  const { lengths } = useView();
  const s = fit(
    { left: extent.left - 20, right: extent.right + 20, top: extent.top + 14, bottom: extent.bottom - 14 },
    width,
    margin(width),
    only === 'leaves' ? room : Infinity,
  );
  const main = built ?? old;
  if (!main) return <figure className="figure-sheet" ref={box} />;
  const strips = only === 'stress' ? 0 : s.height + 8;
  const height = only === 'leaves' ? s.height : strips + main.stress.length * ROW + 4;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg className="drawing" viewBox={`0 0 ${s.width} ${height.toFixed(1)}`} role="img" aria-label={spoken}>
        {only === 'stress' ? null : (
          <>
            {built && old ? <Leaves view={old} s={s} dashed addedLeaf={null} /> : null}
            <Leaves view={main} s={s} dashed={false} addedLeaf={built ? addedLeaf : null} planned={built !== null} />
            <ScaleBar s={s} across={extent.right - extent.left} lengths={lengths} left={16} top={s.height - 12} />
          </>
        )}
        {(only === 'leaves' ? [] : main.stress).map((_, i) => (
          <Strip
            key={i}
            leaf={i}
            view={main}
            before={built && old ? matchLeaf(old, i, addedLeaf) : null}
            s={s}
            top={strips + i * ROW}
            added={built !== null && i === addedLeaf}
          />
        ))}
      </svg>
      {only === 'leaves' ? null : (
        <figcaption className="muted small">
          {only ? '' : 'Circles: where leaves press, larger for more force. '}Strips: bending stress along each leaf
          {built ? ', dashed as it was' : ''}; the full strip is {SPRING_STEEL_LIMITS.bump} MPa for full bump, the ticks{' '}
          {SPRING_STEEL_LIMITS.peak} MPa for a standing load.
        </figcaption>
      )}
    </figure>
  );
});

/** The same leaf before the work: leaves below an added one have moved down by one. */
function matchLeaf(old: SpringFigure, leaf: number, added: number | null) {
  if (leaf === added) return null;
  return old.stress[added !== null && leaf > added ? leaf - 1 : leaf] ?? null;
}

/** A polyline through flat pairs. */
function linePath(pairs: Float32Array, x: (v: number) => number, y: (v: number) => number): string {
  let path = '';
  for (let k = 0; k < pairs.length; k += 2)
    path += `${k === 0 ? 'M' : 'L'}${x(pairs[k]!).toFixed(1)} ${y(pairs[k + 1]!).toFixed(1)}`;
  return path;
}

/** A circle wherever leaves press on one another, larger for more force; one path, since it is drawn anew at every step. */
function contactPath({ contacts }: SpringFigure, s: Scale): string {
  const most = Math.max(1, ...contacts.map((c) => c.force));
  return contacts
    .map((c) => {
      const r = (2 + 5 * Math.sqrt(c.force / most)) * Math.min(1, s.perMm / 0.45);
      return `M${(s.x(c.x) - r).toFixed(1)} ${s.y(c.y).toFixed(1)}a${r.toFixed(1)} ${r.toFixed(1)} 0 1 0 ${(2 * r).toFixed(1)} 0a${r.toFixed(1)} ${r.toFixed(1)} 0 1 0 ${(-2 * r).toFixed(1)} 0Z`;
    })
    .join('');
}

interface LeavesProps {
  view: SpringFigure;
  s: Scale;
  dashed: boolean;
  addedLeaf: number | null;
  planned?: boolean;
}

function Leaves({ view, s, dashed, addedLeaf, planned = false }: LeavesProps) {
  const stroke = dashed ? 'var(--graphite)' : planned ? 'var(--new)' : 'var(--ink)';
  const line = { fill: 'none', stroke, strokeWidth: dashed ? 1.6 : 2, strokeDasharray: dashed ? '7 5' : undefined };
  return (
    <g>
      {view.pivot ? (
        <>
          <line
            x1={s.x(hungEye(view).x)}
            y1={s.y(hungEye(view).y)}
            x2={s.x(view.pivot.x)}
            y2={s.y(view.pivot.y)}
            {...line}
            strokeWidth={dashed ? 2 : 5}
          />
          <circle {...s.at(view.pivot)} r={5} {...line} fill={dashed ? 'none' : 'var(--sheet)'} />
        </>
      ) : null}
      {view.pad === undefined ? null : (
        <path
          d={pathOf(padFace(view.rearEye, view.pad), s)}
          transform={`translate(0 ${dashed ? -1 : -2.5})`}
          {...line}
          strokeWidth={dashed ? 2 : 5}
        />
      )}
      {dashed ? <path d={view.leaves.map((leaf) => linePath(leaf.line, s.x, s.y)).join('')} {...line} /> : null}
      {(dashed ? [] : view.leaves).map((leaf, i) => (
        <LeafStroke
          key={i}
          d={linePath(leaf.line, s.x, s.y)}
          thick={leafThick(leaf.thickness, s.perMm)}
          stroke={stroke}
          hollow={i === addedLeaf}
        />
      ))}
      {dashed ? null : <path d={contactPath(view, s)} fill="var(--amber)" fillOpacity="0.85" stroke="var(--sheet)" />}
      {[view.frontEye, view.rearEye].map((eye, i) => (
        <circle key={i} {...s.at(eye)} r={7} {...line} fill={dashed ? 'none' : 'var(--sheet)'} />
      ))}
      <circle {...s.at(view.seat)} r="3" fill={stroke} />
    </g>
  );
}

interface StripProps {
  leaf: number;
  view: SpringFigure;
  before: Float32Array | null;
  s: Scale;
  top: number;
  added: boolean;
}

/** One leaf's stress along its length, to scale under the drawing, with both limits ticked. */
function Strip({ leaf, view, before, s, top, added }: StripProps) {
  const line = view.stress[leaf]!;
  const budget = view.budget[leaf]!;
  const base = top + ROW - 6;
  const tall = ROW - 10;
  // The pin moves a few millimetres with the load; the strips stand still.
  const pin = Math.round(view.seat.x / 20) * 20;
  const x = (along: number) => s.x(pin + along);
  const y = (stress: number) => base - tall * Math.min(1.25, Math.abs(stress) / SPRING_STEEL_LIMITS.bump);
  const curve = (of: Float32Array) => linePath(of, x, y);
  const [from, to] = [line[0]!, line.at(-2)!];
  const past = budget.ofBump > 1;
  const standing = base - (tall * SPRING_STEEL_LIMITS.peak) / SPRING_STEEL_LIMITS.bump;
  return (
    <g data-leaf={leaf + 1}>
      <text x={16} y={base - 4} className="num">
        {leaf + 1}
        {added ? ' new' : ''}
      </text>
      <rect
        x={x(from)}
        y={base - tall}
        width={x(to) - x(from)}
        height={tall}
        fill="none"
        stroke="var(--rule)"
        strokeWidth="1"
      />
      <path
        d={`${curve(line)}L${x(to).toFixed(1)} ${base}L${x(from).toFixed(1)} ${base}Z`}
        fill={past ? 'var(--amber-wash)' : 'var(--new-wash)'}
        stroke={past ? 'var(--amber)' : 'var(--new)'}
        strokeWidth="1.5"
      />
      {before ? (
        <path d={curve(before)} fill="none" stroke="var(--graphite)" strokeDasharray="5 4" strokeWidth="1.4" />
      ) : null}
      <path
        d={`M${x(from) - 6} ${standing}H${x(from) + 6}M${x(to) - 6} ${standing}H${x(to) + 6}`}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      <line x1={x(budget.at)} x2={x(budget.at)} y1={y(budget.peak) - 3} y2={y(budget.peak) + 5} stroke="var(--ink)" />
      <text x={s.width - 12} y={base - 4} textAnchor="end" className="num">
        {past ? '▲ ' : ''}
        {Math.abs(budget.peak).toFixed(0)} MPa
      </text>
    </g>
  );
}
