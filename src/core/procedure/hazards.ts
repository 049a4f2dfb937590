import { SIDES } from '../vehicle/side';
import { type Facts, type Hazard } from './operation';

/** A fastener that holds nothing at the moment. */
const out = (facts: Facts, place: string): boolean => facts[place] === 'out';
const either = (fn: (side: string) => boolean): boolean => SIDES.some(fn);

/** What holds a spring to the vehicle, by place; the last of them undone lets go what is in it. */
const HOLDS_SPRING = ['ubolts', 'front', 'shackle', 'seat', 'rocker', 'eye', 'pivot', 'nose', 'rubber'];

/**
 * What no order of work may pass through, whatever the suspension: the cautions of the trade on support and stored energy. Common practice;
 * local rules and licensed practice come first.
 */
export const HAZARDS: readonly Hazard[] = [
  {
    id: 'unchocked',
    says: 'The vehicle is raised and its other wheels are not chocked: it can roll off its stands.',
    in: (f) => f.frame !== 'on its wheels' && f.chocks !== 'in',
  },
  {
    id: 'frameUnheld',
    says: 'A wheel is off and the frame stands on no stands: a jack alone lets it down.',
    in: (f) => f.frame !== 'on stands' && either((s) => f[`wheel.${s}`] === 'off'),
  },
  {
    id: 'axleUnheld',
    says: 'What carries the axle is undone and the axle is not held: it comes down or rolls over.',
    in: (f) => f.axle !== 'held' && either((s) => HOLDS_SPRING.some((place) => out(f, `${place}.${s}`))),
  },
  {
    id: 'loadedSpring',
    says: 'The spring is still loaded and what holds it comes off: it flies.',
    in: (f) => either((s) => f[`spring.${s}`] !== 'slack' && HOLDS_SPRING.some((place) => out(f, `${place}.${s}`))),
  },
  {
    id: 'packUnclamped',
    says: 'The centre bolt is out and nothing clamps the pack: the leaves spring apart.',
    in: (f) => either((s) => out(f, `centre.${s}`) && f[`clamps.${s}`] !== 'on'),
  },
  {
    id: 'lineTaut',
    says: 'The axle hangs lower than hoses and wires reach: they tear.',
    in: (f) => f.lines !== 'free' && either((s) => f[`spring.${s}`] === 'slack'),
  },
  {
    id: 'flame',
    says: 'A flame beside rubber, grease or a hose: it burns, its smoke is poison, and a hose lets go later.',
    in: (f) =>
      either(
        (s) =>
          f[`flame.${s}`] === 'lit' && (f[`bush.${s}`] !== 'metal' || f.lines !== 'free' || f[`guard.${s}`] !== 'up'),
      ),
  },
  {
    id: 'halfOnItsWheels',
    says: 'The weight comes onto a spring that is not fastened again.',
    in: (f) =>
      f.frame === 'on its wheels' &&
      either(
        (s) =>
          f[`wheel.${s}`] === 'off' ||
          [...HOLDS_SPRING, 'centre', 'shock'].some((place) => out(f, `${place}.${s}`)) ||
          f[`pack.${s}`] === 'on the bench',
      ),
  },
];

/** A coil inside its damper's unit is pressed by the nut in its middle. */
export const UNCOMPRESSED: Hazard = {
  id: 'uncompressed',
  says: 'The nut that holds the coil on its unit is off and no compressor holds it: it flies.',
  in: (f) => either((s) => out(f, `stem.${s}`) && f[`compressor.${s}`] !== 'on'),
};

/** An unload tool between frame and carrier that is driven away with. */
export const TOOL_LEFT: Hazard = {
  id: 'toolLeft',
  says: 'The unload tool is still on its carrier and the weight comes onto it: it flies.',
  in: (f) => f.frame === 'on its wheels' && either((s) => f[`tool.${s}`] === 'on'),
};

/** While one side is worked on the other one holds the axle in its place. */
export const ONE_SIDE: Hazard = {
  id: 'bothSides',
  says: 'Both sides are undone at once: nothing keeps the axle in its place.',
  in: (f) => SIDES.every((s) => out(f, `ubolts.${s}`) || out(f, `seat.${s}`) || out(f, `pivot.${s}`)),
};
