import { type VehicleFormId } from '@/core/vehicle/form';

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

/** Ratios to the wheelbase of what nobody measured; only wheels and wheelbase are the vehicle's own. */
const WHEEL = 0.125;
const PAIR = 0.16;

/** Outline of each form over its ground, in wheelbases: x rearward from the front axle or the coupling, y up. */
interface Body {
  outline: string[];
  thin: string[];
  left: number;
  right: number;
  top: number;
  /** What is loaded stands on this. */
  deck: number;
  /** Underside of the frame, where a stand goes. */
  rail: number;
}

const BODIES: Record<VehicleFormId, Body> = {
  truck: {
    outline: [
      'M-0.24 0.13V0.3L-0.2 0.36L-0.06 0.38L0.03 0.58H0.3V0.13H0.18M0.3 0.22H1.3V0.17H1.17',
      'M0.34 0.22V0.5M-0.24 0.13H-0.18',
    ],
    thin: ['M-0.02 0.38L0.05 0.54H0.15V0.36ZM0.18 0.54H0.27V0.36H0.18Z', 'M0.5 0.22V0.3H1.28V0.22'],
    left: -0.3,
    right: 1.36,
    top: 0.62,
    deck: 0.3,
    rail: 0.17,
  },
  bus: {
    outline: ['M-0.28 0.13V0.5Q-0.28 0.56 -0.22 0.56H1.24Q1.3 0.56 1.3 0.5V0.13H1.18M0.18 0.13H0.82M-0.28 0.13H-0.18'],
    thin: ['M-0.24 0.34H1.26M0.02 0.34V0.52M0.3 0.34V0.52M0.58 0.34V0.52M0.86 0.34V0.52M1.12 0.34V0.52'],
    left: -0.34,
    right: 1.36,
    top: 0.6,
    deck: 0.2,
    rail: 0.13,
  },
  cart: {
    outline: ['M-0.22 0.2H1.22V0.26H-0.22ZM-0.22 0.26V0.62H1.22V0.26', 'M-0.22 0.22L-0.46 0.16V0.26'],
    thin: ['M0.02 0.26V0.62M0.26 0.26V0.62M0.5 0.26V0.62M0.74 0.26V0.62M0.98 0.26V0.62'],
    left: -0.5,
    right: 1.28,
    top: 0.66,
    deck: 0.26,
    rail: 0.2,
  },
  trailer: {
    outline: ['M0 0.16L0.34 0.2H1.3V0.26H0.34L0 0.19Z', 'M0.36 0.26V0.42H1.28V0.26'],
    thin: ['M0.59 0.26V0.42M0.82 0.26V0.42M1.05 0.26V0.42', 'M0 0.16V0.08'],
    left: -0.06,
    right: 1.36,
    top: 0.5,
    deck: 0.26,
    rail: 0.2,
  },
  fifthWheel: {
    outline: ['M-0.16 0.34V0.66H1.3V0.2H0.34V0.34Z'],
    thin: ['M0 0.34V0.27M-0.16 0.44H1.3'],
    left: -0.22,
    right: 1.36,
    top: 0.7,
    deck: 0.34,
    rail: 0.2,
  },
};

const scaled = (path: string, x: (v: number) => number, y: (v: number) => number): string => {
  let [command, index] = ['M', 0];
  return path.replaceAll(/[A-Z]|-?[\d.]+/g, (part) => {
    if (/[A-Z]/.test(part)) {
      [command, index] = [part, 0];
      return part;
    }
    const value = Number(part);
    const across = command === 'H' || (command !== 'V' && index++ % 2 === 0);
    return `${(across ? x(value) : y(value)).toFixed(1)}`;
  });
};

/** Underside of the frame of a form, and how far the wheels of a pair stand from its middle, in wheelbases. */
export const railOf = (form: VehicleFormId): number => BODIES[form].rail;
export const pairOnSketch = (): [number, number] => [1.6 * (-PAIR / 2 - 0.02), 1.6 * (PAIR / 2 + 0.02)];

/** Where things lie on a sketch of some width, px; `radius`, `deck` in wheelbases. */
export function laidOut(form: VehicleFormId, wheelbase: number, width: number) {
  const { left, right, top, deck } = BODIES[form];
  const scale = width / (right - left);
  const radius = Math.min(0.17, Math.max(0.1, (WHEEL * 3300) / Math.max(wheelbase, 1500)));
  const x = (v: number) => (v - left) * scale;
  const y = (v: number) => 6 + (top - v) * scale;
  return { scale, radius, x, y, deck, tall: top };
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
        <path key={path} d={scaled(path, x, y)} strokeWidth={ghost ? 1 : 1.5} />
      ))}
      {ghost ? null : thin.map((path) => <path key={path} d={scaled(path, x, y)} strokeWidth="0.8" />)}
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
