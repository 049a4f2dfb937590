import { CoreError } from '../../errors';
import { type Drawn } from '../../estimate/tree';
import {
  COIL_ENDS,
  coilRate,
  coilStress,
  solidHeight,
  staysStraight,
  turnGap,
  type Coil,
  type CoilEnds,
} from '../../mechanics/coil/coil';
import { lowest, swingOut, swingTurn } from '../../mechanics/swing/swing';
import { type Side } from '../../vehicle/side';
import { type SideModel, type SpringEnd, type SpringFigures } from '../kind';
import { type CoilAxleInput, type CoilChange, type CoilInput } from './input';

export type DrawnInput = Drawn<CoilAxleInput>;
export type DrawnChange = Drawn<CoilChange>;

/** What a coil does in one load state of one build. */
export interface CoilFigures extends SpringFigures {
  /** Seat to seat, mm. */
  length: number;
  free: number;
  /** Along its own axis, N and N/mm. */
  axial: number;
  axialRate: number;
  /** Largest shear stress in the wire, MPa. */
  stress: number;
  /** Between two turns, mm. */
  gap: number;
  /** How far the hub may still rise until the coil is solid, and drop until it is loose in its seats, mm. */
  toSolid: number;
  toLoose: number;
  /** False where it may bow out sideways with one seat free to tilt. */
  straight: boolean;
  /** For drawing, mm. */
  coil: Coil;
  /** What swings the hub does; null where nothing swings. */
  swing: SwingFigures | null;
  /** Force in the coil with its damper fully open, N; negative where it is loose there by so much. null where that was not read. */
  preload: number | null;
}

/** An arm or beam in one load state; what the work gains stands against the same load before it. */
export interface SwingFigures {
  /** Slope of the arm, hub down positive, rad. */
  slope: number;
  /** Turned by the work, hub down positive, rad: of a beam across that is camber, top outwards. */
  gained: number;
  /** Hub further out from its pivot by the work, mm. */
  out: number;
  /** Caster lost by the work, rad; null without a radius arm. */
  casterLost: number | null;
  /** It still turns down until the coil is loose, rad. */
  hangs: number;
}

/** End constant of a coil between an axle that can tilt and a frame. Shigley (from memory). */
const ONE_END_TILTS = 0.7;
/** Turns are wound to a few per cent of their wire and lie on one another with paint and rust between. Memory, chosen. */
const SOLID_SHARE = 0.03;
/** Ends to stand in where nobody looked; the others widen the band. */
export const USUAL_ENDS: CoilEnds = 'closedGround';

/** A coil's own figures; its free length by what was read of it, or as given. */
const coilOf = (given: Drawn<CoilInput>, free: number): Coil => ({
  wire: given.wire,
  mean: given.outside - given.wire,
  turns: given.turns,
  ends: given.ends === 'unknown' ? USUAL_ENDS : given.ends,
  free,
});

interface Standing {
  coil: Coil;
  rate: number;
  /** Seat to seat in the base state as it stands, by its own readings; of a new coil by its free length. */
  lengthAt: (axial: number) => number;
}

/** A coil of one side on its seats, from which any build and load follows. */
export class CoilSideModel implements SideModel<DrawnChange, CoilFigures> {
  private readonly now: Standing | undefined;
  private readonly baseLoad: number;

  /** @throws CoreError `bad-input` when the sizes are no coil */
  constructor(
    private readonly input: DrawnInput,
    private readonly side: Side,
  ) {
    const spring = input.sides[side].spring;
    this.baseLoad = spring?.load ?? 0;
    if (!input.coil || !spring) return;
    const sizes = coilOf(input.coil, 0);
    const rate = coilRate(sizes) * (input.coil.rateFactor ?? 1);
    const axial = spring.load / input.ratio;
    // What was read under the load of the day counts; a free length alone tells it too.
    const free = spring.length !== null ? spring.length + axial / rate : input.coil.free;
    if (free === null) return;
    this.now = { coil: { ...sizes, free }, rate, lengthAt: (force) => free - force / rate };
  }

  get hasSpring(): boolean {
    return this.now !== undefined;
  }

  private standing(changes: readonly DrawnChange[]): Standing | undefined {
    const other = changes.findLast((c) => c.kind === 'coil');
    if (!other) return this.now;
    const { free } = other.coil;
    if (free === null)
      throw new CoreError('bad-input', 'changes.coil.free', 'the free length of the new coil is not known');
    const coil = coilOf(other.coil, free);
    const rate = coilRate(coil) * (other.coil.rateFactor ?? 1);
    return { coil, rate, lengthAt: (force) => free - force / rate };
  }

  /** Everything under or over the coil that makes it stand taller, against the seats as they are: spacers, and the seat moved up its unit. */
  private spacer(changes: readonly DrawnChange[]): number {
    const perch = changes.findLast((c) => c.kind === 'perch');
    return (changes.findLast((c) => c.kind === 'spacer')?.height ?? this.input.spacer) + (perch?.[this.side] ?? 0);
  }

  private axial(extraLoad: number): number {
    return (this.baseLoad + extraLoad) / this.input.ratio;
  }

  rise(changes: readonly DrawnChange[], extraLoad: number): number {
    const spacer = this.spacer(changes) / this.input.ratio;
    const standing = this.standing(changes);
    if (!standing || !this.now) return spacer;
    const axial = this.axial(extraLoad);
    const length = standing.lengthAt(axial);
    if (length < solidHeight(standing.coil))
      throw new CoreError('no-equilibrium', 'coil', 'the coil is solid before it carries this load');
    // A coil that is loose in its seats carries nothing: the axle hangs on something else.
    if (axial < 0) throw new CoreError('no-equilibrium', 'coil', 'the coil is loose in its seats under this load');
    return spacer + length / this.input.ratio;
  }

  ends(changes: readonly DrawnChange[]): SpringEnd[] {
    const standing = this.standing(changes);
    if (!standing || !this.now) return [];
    const { coil, lengthAt } = standing;
    const { ratio } = this.input;
    const rests = this.rise(changes, 0);
    const length = lengthAt(this.axial(0));
    return [
      { id: 'coilBind', rise: rests - (length - solidHeight(coil)) / ratio, half90: SOLID_SHARE * solidHeight(coil) },
      { id: 'coilLoose', rise: rests + (coil.free - length) / ratio, half90: 0 },
    ];
  }

  /** Friction of a coil is that of its shock and bushes; nothing of it is known here. */
  frictionHeight(): number {
    return 0;
  }

  figures(changes: readonly DrawnChange[], extraLoad: number): CoilFigures | null {
    const standing = this.standing(changes);
    if (!standing || !this.now) return null;
    const { coil, rate, lengthAt } = standing;
    const { ratio } = this.input;
    const axial = this.axial(extraLoad);
    const length = lengthAt(axial);
    return {
      load: this.baseLoad + extraLoad,
      rate: rate * ratio ** 2,
      frequency: null,
      frictionHeight: 0,
      length,
      free: coil.free,
      axial,
      axialRate: rate,
      stress: coilStress(coil, axial),
      gap: turnGap(coil, length),
      toSolid: (length - solidHeight(coil)) / ratio,
      toLoose: (coil.free - length) / ratio,
      straight: staysStraight(coil, ONE_END_TILTS),
      coil,
      swing: this.swing(changes, extraLoad, (coil.free - length) / ratio),
      preload: this.preload(changes, coil, rate),
    };
  }

  private swing(changes: readonly DrawnChange[], extraLoad: number, toLoose: number): SwingFigures | null {
    const { swing } = this.input;
    if (!swing) return null;
    const today = this.rise([], 0);
    const [before, now] = [this.rise([], extraLoad) - today, this.rise(changes, extraLoad) - today];
    const there = { arm: swing.arm, rise: swing.rise + now };
    return {
      slope: Math.asin(swing.rise / swing.arm) + swingTurn(swing, now),
      gained: swingTurn(swing, now) - swingTurn(swing, before),
      out: swingOut(swing, now) - swingOut(swing, before),
      casterLost: swing.radius === null ? null : (now - before) / swing.radius,
      // A soft coil may reach further down than the arm does.
      hangs: swingTurn(there, Math.max(0, Math.min(toLoose, lowest(there)))),
    };
  }

  private preload(changes: readonly DrawnChange[], coil: Coil, rate: number): number | null {
    const open = this.input.open?.[this.side];
    if (open === undefined || open === null) return null;
    const raised = this.spacer(changes) - this.input.spacer;
    return rate * (coil.free - (open - raised));
  }
}

/** Every form of ends that a coil might have when nobody looked. */
export const otherEnds = (ends: CoilInput['ends']): readonly CoilEnds[] =>
  ends === 'unknown' ? COIL_ENDS.filter((e) => e !== USUAL_ENDS) : [];
