'use client';
import { useMemo, useState, type MouseEvent } from 'react';
import { packAt } from '@/contracts/packAt';
import { sheetOf } from '@/contracts/sheet';
import { type Side } from '@/core/vehicle/side';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { SideChips } from '../../controls/SideChips';
import { Marked } from '../../controls/Mark';
import { ScaleBar } from '../../drawing/ScaleBar';
import { fit } from '../../drawing/scale';
import { useWidth } from '../../drawing/useWidth';
import { figureValues } from '../../figure/values';
import { leafStandIn } from './figures';
import { ProblemNote } from '../../job/ProblemNote';
import { type JobHandle } from '../../job/useJob';
import { useSend } from '../../job/useSend';
import { Length, useLengthText } from '../../measured/Figure';
import { usePrediction } from '../../prediction/usePrediction';
import { useView } from '../../theme/View';
import { Quantity } from '../../measured/Quantity';

const ROW = 46;

/** The pack taken apart: touch a leaf where it is broken. The break goes into the solver. */
export function BrokenLeaf({ job }: { job: JobHandle }) {
  const { view } = job;
  const { problem, run } = useSend();
  const [side, setSide] = useState<Side>('left');
  const [box, width] = useWidth<HTMLDivElement>(480);
  const lengthText = useLengthText();
  const { lengths } = useView();
  const values = useMemo(() => figureValues(view, null, leafStandIn(view)), [view]);
  const own = view.own?.pack.side === side ? side : null;
  const leaves = packAt(view, side).leaves.map((leaf, i) => ({
    id: leaf.id,
    front: i === 0 ? values('eyeToPinFront', own) : values('leafFront', null, leaf.id),
    rear: i === 0 ? values('eyeToPinRear', own) : values('leafRear', null, leaf.id),
  }));
  const main = leaves[0];
  const finding = view.findings.find((f) => f.rule === 'leafBroken' && f.side === side && f.verdict === 'stop');
  const s = fit({ left: -(main?.front.value ?? 600), right: main?.rear.value ?? 600, top: 0, bottom: 0 }, width, {
    left: 30,
    right: 16,
    top: 0,
    bottom: 0,
  });
  const across = (main?.front.value ?? 600) + (main?.rear.value ?? 600);
  const height = 34 + leaves.length * ROW + 26;
  const yOf = (i: number) => 40 + i * ROW;
  const breakAt = (leafId: string, at: number) =>
    void run(() =>
      job.send('/findings', 'POST', {
        id: crypto.randomUUID(),
        rule: 'leafBroken',
        side,
        choice: leafId === main?.id ? 'main' : 'leaf',
        values: [],
        note: finding?.note ?? '',
        leafId,
        place: at,
        placeTyped: `${at} mm`,
      }),
    );
  const touched = (event: MouseEvent<SVGRectElement>, leafId: string) => {
    const svg = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const px = ((event.clientX - svg.left) / svg.width) * width;
    breakAt(leafId, Math.round((px - s.x(0)) / s.perMm));
  };
  return (
    <div ref={box}>
      <SideChips label="Side of the pack" value={side} onPick={setSide} />
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`Pack, ${side}: ${typeof finding?.place !== 'number' ? 'no break marked' : `leaf ${leaves.findIndex((l) => l.id === finding.leafId) + 1} broken ${lengthText(Math.abs(finding.place))} ${finding.place < 0 ? 'in front of' : 'behind'} the pin`}`}
      >
        <text x={s.x(0) + 6} y={16}>
          pin
        </text>
        <path d={`M${s.x(0)} 20V${height - 30}`} className="shape thin" />
        {leaves.map((leaf, i) => {
          const [x1, x2] = [s.x(-leaf.front.value), s.x(leaf.rear.value)];
          const known = leaf.front.known && leaf.rear.known;
          const cut = finding?.leafId === leaf.id && finding.place !== null ? s.x(finding.place) : null;
          return (
            <g key={leaf.id}>
              <text x={6} y={yOf(i) + 5} className="num">
                {i + 1}
              </text>
              <rect
                x={x1}
                y={yOf(i) - 4}
                width={x2 - x1}
                height={8}
                className={`shape steel ${known ? '' : 'dotted'}`}
              />
              {cut === null ? null : (
                <>
                  <path
                    d={`M${cut - 5} ${yOf(i) - 15}l6 9l-5 4l6 5l-5 12`}
                    fill="none"
                    stroke="var(--stop)"
                    strokeWidth="3"
                  />
                  <text x={cut + 10} y={yOf(i) - 9} style={{ fill: 'var(--stop)' }}>
                    STOP, broken
                  </text>
                </>
              )}
              <rect
                x={x1}
                y={yOf(i) - ROW / 2}
                width={x2 - x1}
                height={ROW}
                className="touch"
                data-leaf={i + 1}
                onClick={(event) => touched(event, leaf.id)}
              />
            </g>
          );
        })}
        <ScaleBar s={s} across={across} lengths={lengths} left={30} top={height - 8}>
          {side}, drawn apart
        </ScaleBar>
      </svg>
      <p className="muted">Touch a leaf where it is broken, or type leaf and place under “Leaf cracked or broken”.</p>
      {finding ? <BreakEffect job={job} side={side} /> : null}
      <ProblemNote problem={problem} />
    </div>
  );
}

/** What the break does, solved: how much higher the side would stand with the leaf made good. */
function BreakEffect({ job, side }: { job: JobHandle; side: Side }) {
  const { view } = job;
  const input = useMemo(() => {
    const assembled = assemble(sheetOf(view, []));
    return assembled.missing.length === 0 && assembled.input.sides[side].spring?.broken ? assembled.input : null;
  }, [view, side]);
  const { prediction } = usePrediction(input, 0);
  const state = prediction?.sides[side]?.states[0];
  const finding = view.findings.find((f) => f.rule === 'leafBroken' && f.side === side);
  if (finding?.leafId === packAt(view, side).leaves[0]?.id)
    return (
      <p>
        <span className="stop-word">STOP</span> A broken main leaf holds no eye: nothing is reckoned with it.
      </p>
    );
  if (!input)
    return <p className="muted">The pack is not measured in full, so what the break does is not reckoned yet.</p>;
  const mend = state?.ledger.find((l) => l.kind === 'mendLeaf')?.value;
  if (mend === undefined || !state?.old || !state.built) return <p className="muted">Reckoning…</p>;
  return (
    <p data-testid="break-effect">
      <Marked kind="look">
        As measured it stands with the break. Made good by its like, this side would stand <Length mm={mend} signed />{' '}
        from now, at <span className="figure">{state.built.rate.toFixed(1)}</span> instead of{' '}
        <Quantity value={state.old.rate} of="rate" digits={1} />. Every plan makes it good first.
      </Marked>
    </p>
  );
}
