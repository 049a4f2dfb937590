import { type VehicleFormId } from './form';

/** Ratios to the wheelbase of what nobody measured; only wheels and wheelbase are the vehicle's own. */
const WHEEL = 0.125;
export const PAIR = 0.16;

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

export const BODIES: Record<VehicleFormId, Body> = {
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

/** A path of an outline on a drawing. @param x @param y from wheelbases to px */
export const scaledPath = (path: string, x: (v: number) => number, y: (v: number) => number): string => {
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
