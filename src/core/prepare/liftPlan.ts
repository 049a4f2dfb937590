import { requireNumber } from '../errors';
import { liftHeight, type Stand } from '../procedure/lift';

/** What is known of a vehicle where it is lifted. Lengths mm, masses kg. */
export interface Lifted {
  /** Front axle or coupling to the axle worked on. */
  wheelbase: number;
  /** Ground to the frame's underside where the stand goes, as it stands. */
  frame: number;
  /** How far the stand stands from the axle, towards the other one. */
  ahead: number;
  /** The hub's way from where it stands to hanging: the longer of before and after the work. */
  droop: number;
  /** Room under the tyre. */
  clear: number;
  /** What the tyre is pressed in by its load. */
  squash: number;
  /** On the axle, wheels and all. */
  axleMass: number;
}

export interface LiftPlan {
  /** Top of the stand at least, over the ground. */
  least: number;
  /** Where it is set to; null while no stand is named or it does not reach. */
  set: number | null;
  /** Its notch, counted from the lowest as 1. */
  notch: number | null;
  /** The frame rises by this at the stand, and by this at the axle. */
  raise: number;
  raiseAtAxle: number;
  /** Left under the tyre with the stand at its notch. */
  clear: number;
  /** Reach of a jack that sets it onto the stand. */
  jack: number;
  /** What the jack lifts where the stand goes, by the moments about the other axle, kg; and what each stand carries. */
  lifts: number;
  eachStand: number;
  /** What the other axle, or the coupling, carries less while it stands so, kg. */
  relieved: number;
}

/** With the wheel on this much under the tyre is enough, mm. Common practice. */
export const UNDER_TYRE = 25;

/**
 * How high the frame is held so that the axle hangs free. The vehicle turns about its other axle: what the frame rises at the stand it rises more
 * at the axle, and the stands carry more than the axle weighs. @throws CoreError for what is out of range
 */
export function liftPlan(at: Lifted, stand: Stand | null): LiftPlan {
  requireNumber('wheelbase', at.wheelbase, 500, 20_000);
  requireNumber('ahead', at.ahead, -3000, 0.8 * at.wheelbase);
  requireNumber('axleMass', at.axleMass, 20, 30_000);
  const share = (at.wheelbase - at.ahead) / at.wheelbase;
  const wanted = (at.droop + at.squash + at.clear) * share;
  const any: Stand = stand ?? { lowest: 0, highest: 3000, notch: 1 };
  const { least, set, jack } = liftHeight(at.frame, 0, wanted, 0, any);
  const stood = stand && set !== null ? set : null;
  const raise = (stood ?? least) - at.frame;
  const lifts = at.axleMass / share;
  return {
    ...{
      least,
      set: stood,
      raise,
      raiseAtAxle: raise / share,
      lifts,
      eachStand: lifts / 2,
      relieved: lifts - at.axleMass,
    },
    jack: stand ? jack : least,
    notch: stood === null ? null : Math.round((stood - any.lowest) / any.notch) + 1,
    clear: raise / share - at.droop - at.squash,
  };
}

/** What a hand and a spanner want under a bolt's head, mm. Chosen. */
const HAND = 60;

/** Whether the longest bolt that comes out downwards can be drawn past what is under it. @param head of the bolt over the ground as it stands, mm @param length under its head, mm @param raise of it, mm @param under height of what stands under it: 0 for the floor, the arm of a hoist */
export function drawnOut(head: number, length: number, raise: number, under = 0): { room: number; short: number } {
  requireNumber('head', head, 0, 3000);
  requireNumber('length', length, 1, 1200);
  const room = head + raise - under;
  return { room, short: Math.max(0, length + HAND - room) };
}

/** What is looked at before anybody goes under. Common practice; local rules come first. */
export const LIFTING_CAUTIONS: readonly string[] = [
  'Frame and axle are each held on stands; a jack lifts and never holds.',
  'Wheels that stay down are chocked both ways, on level firm ground; park brake on.',
  'No timber under a stand: it splits, and it tips. Shake the vehicle before going under.',
  'A hoist’s pads go where the maker says; look that bolts can be drawn out past its arms.',
  'Local rules for lifting gear and its proving dates come first.',
];
