import { type VehicleFormId } from '@/core/vehicle/form';
import { BODIES, laidOut, PAIR, scaledPath } from '@/core/vehicle/outline';

export interface SketchedAxle {
  position: 'front' | 'rear';
  pair: boolean;
  touched: boolean;
}

interface Props {
  form: VehicleFormId;
  /** mm; from the coupling where it hangs on another vehicle. */
  wheelbase: number;
  /** Where the vehicle has axles, and which a job works on. */
  axles: readonly SketchedAxle[];
  /** px. */
  width?: number;
}

/** Middle of an axle's wheels on the sketch, px. */
export function axleOnSketch(form: VehicleFormId, wheelbase: number, width: number, position: 'front' | 'rear') {
  const { radius, x, y } = laidOut(form, wheelbase, width);
  return { x: x(position === 'rear' ? 1 : 0), y: y(radius) };
}

interface Places {
  x: (v: number) => number;
  y: (v: number) => number;
}

/** The body without its wheels; `ghost` as it stood before. */
export function VehicleBody({ form, x, y, ghost = false }: Places & { form: VehicleFormId; ghost?: boolean }) {
  const { outline, thin } = BODIES[form];
  const line = ghost ? { stroke: 'var(--graphite)', strokeDasharray: '6 4' } : { stroke: 'var(--ink)' };
  return (
    <g fill="none" strokeLinejoin="round" {...line}>
      {outline.map((path) => (
        <path key={path} d={scaledPath(path, x, y)} strokeWidth={ghost ? 1 : 1.5} />
      ))}
      {ghost ? null : thin.map((path) => <path key={path} d={scaledPath(path, x, y)} strokeWidth="0.8" />)}
    </g>
  );
}

/** The wheels of every axle, with a ring round those that are worked on. */
export function Wheels({
  axles,
  radius,
  scale,
  x,
  y,
}: Places & { axles: readonly SketchedAxle[]; radius: number; scale: number }) {
  return axles.map(({ position, pair, touched }) =>
    (pair ? [-PAIR / 2 - 0.02, PAIR / 2 + 0.02] : [0]).map((off) => {
      const place = { cx: x((position === 'rear' ? 1 : 0) + off * 1.6), cy: y(radius) };
      return (
        <g key={`${position}${off}`}>
          <circle {...place} r={radius * scale} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.8" />
          <circle {...place} r={radius * scale * 0.45} fill="none" stroke="var(--ink)" strokeWidth="0.9" />
          {touched ? (
            <circle {...place} r={radius * scale + 4} fill="none" stroke="var(--new)" strokeWidth="2" />
          ) : null}
        </g>
      );
    }),
  );
}

/** A vehicle from its left, small: wheels where they stand, a ring round every axle that is worked on. */
export function VehicleSketch({ form, wheelbase, axles, width = 160 }: Props) {
  const { scale, radius, x, y } = laidOut(form, wheelbase, width);
  const ground = y(0);
  return (
    <svg
      className="vehicle-sketch"
      width={width}
      height={ground + 6}
      viewBox={`0 0 ${width} ${(ground + 6).toFixed(1)}`}
      aria-hidden="true"
    >
      <VehicleBody form={form} x={x} y={y} />
      <Wheels axles={axles} radius={radius} scale={scale} x={x} y={y} />
      <line x1="0" x2={width} y1={ground} y2={ground} stroke="var(--ink)" strokeWidth="1.6" />
    </svg>
  );
}
