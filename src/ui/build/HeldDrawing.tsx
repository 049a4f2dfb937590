'use client';
import { type JobView } from '@/contracts/job';
import { type Facts } from '@/core/procedure/operation';
import { Chocks, Ground, Stand, Wheel } from '../drawing/Standing';
import { fit } from '../drawing/scale';
import { useRoom } from '../drawing/useRoom';
import { pairOnSketch, railOf } from '@/core/vehicle/outline';
import { VehicleBody } from '../drawing/VehicleSketch';
import { sketchedAxles } from '../frame/VehicleHead';

/** A raised frame is drawn this much higher, in wheelbases: a sign, not a measure. */
const RAISED = 0.07;

/** How the vehicle stands just now and what holds it, from its left; places as its form has them, not measured. */
export function HeldDrawing({ view, facts }: { view: JobView; facts: Facts }) {
  const [ref, width, room] = useRoom<HTMLElement>(520);
  const { form } = view.vehicle;
  const rear = view.axle.position === 'rear';
  const [own, other] = rear ? [1, 0] : [0, 1];
  const up = facts.frame === 'on stands';
  const lift = up ? RAISED : 0;
  const hitched = form === 'trailer' || form === 'fifthWheel';
  const r = 0.13;
  const s = fit(
    { left: -0.34, right: 1.36, top: 0.64 + lift, bottom: 0 },
    width,
    { left: 10, right: 10, top: 6, bottom: 30 },
    Number.isFinite(room) ? room : 260,
  );
  const off = facts['wheel.left'] === 'off';
  const held = facts.axle === 'held';
  const hub = r + (up ? lift * 0.55 : 0);
  const turned = ((-180 / Math.PI) * lift) / (own - other);
  const pair = sketchedAxles(view).find((a) => a.touched)?.pair ?? false;
  const wheels = pair ? pairOnSketch().map((o) => own + o) : [own];
  const standX = own + (rear ? -0.2 : 0.2);
  const words = heldWords(facts);
  return (
    <figure className="figure-sheet held" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role="img"
        aria-label={`How it stands: ${words.join(', ')}`}
      >
        <Ground s={s} to={width} />
        <g transform={`rotate(${turned.toFixed(2)} ${s.x(other)} ${s.y(railOf(form))})`}>
          <VehicleBody form={form} x={(v) => s.x(v)} y={(v) => s.y(v)} />
        </g>
        {hitched ? null : <Wheel s={s} x={other} y={r} r={r} />}
        {facts.chocks === 'in' && !hitched ? <Chocks s={s} x={other} r={r} /> : null}
        {wheels.map((x) =>
          off ? (
            <g key={x}>
              <Wheel s={s} x={x} y={hub} r={r * 0.42} touched />
              {held ? <Stand s={s} x={x} top={hub - r * 0.42} known /> : null}
            </g>
          ) : (
            <Wheel key={x} s={s} x={x} y={hub} r={r} touched />
          ),
        )}
        {up && facts.by === 'hoist' ? (
          <path
            d={`M${s.x(0.5) - 7} ${s.y(0)}V${s.y(0.62)}h14V${s.y(0)}ZM${s.x(0.12)} ${s.y(railOf(form) - 0.02)}H${s.x(0.88)}`}
            fill="var(--steel)"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ) : up ? (
          <Stand s={s} x={standX} top={railOf(form) + lift * 0.8} known />
        ) : null}
        <text x={8} y={s.y(0) + 20}>
          ← front
        </text>
      </svg>
    </figure>
  );
}

/** What holds the vehicle, in words, from the ground up. */
export function heldWords(facts: Facts): string[] {
  const sides = (place: string, is: string) => ['left', 'right'].filter((side) => facts[`${place}.${side}`] === is);
  const both = (list: string[]) => (list.length === 2 ? 'both' : list[0]);
  const off = sides('wheel', 'off');
  const slack = sides('spring', 'slack');
  const clamped = sides('clamps', 'on');
  return [
    facts.chocks === 'in' ? 'chocked' : 'not chocked',
    facts.frame === 'on stands'
      ? facts.by === 'hoist'
        ? 'frame on the hoist, on its locks'
        : 'frame on stands'
      : 'on its wheels',
    ...(off.length > 0 ? [`${both(off)} ${off.length === 2 ? 'wheels' : 'wheel'} off`] : []),
    ...(facts.axle === 'held' ? ['axle on its own stands'] : facts.axle === 'hanging' ? ['axle hanging'] : []),
    ...(slack.length > 0 ? [`${both(slack)} ${slack.length === 2 ? 'springs' : 'spring'} slack`] : []),
    ...(clamped.length > 0 ? [`pack clamped, ${both(clamped)}`] : []),
  ];
}
