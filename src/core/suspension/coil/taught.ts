import { type Estimate } from '../../estimate/estimate';
import { coilRate, type CoilEnds } from '../../mechanics/coil/coil';
import { type Side } from '../../vehicle/side';
import { type CoilAxleInput, type CoilKind } from './input';
import { otherEnds, USUAL_ENDS } from './sideModel';

/** Rate of the coil by its sizes, and its 90 % half-width as a share: every size, and ends that nobody looked at. */
function computedRate(coil: NonNullable<CoilAxleInput['coil']>): { rate: number; share: number } {
  const rateOf = (moved: Partial<Record<'wire' | 'outside' | 'turns', number>>, ends: CoilEnds): number => {
    const size = (what: 'wire' | 'outside' | 'turns') => moved[what] ?? coil[what].value;
    return coilRate({ wire: size('wire'), mean: size('outside') - size('wire'), turns: size('turns'), ends });
  };
  const ends = coil.ends === 'unknown' ? USUAL_ENDS : coil.ends;
  const rate = rateOf({}, ends);
  const off = (moved: number) => Math.abs(moved / rate - 1);
  const sizes = (['wire', 'outside', 'turns'] as const).map((what) =>
    off(rateOf({ [what]: coil[what].value + coil[what].half90 }, ends)),
  );
  const forms = otherEnds(coil.ends).map((form) => off(rateOf({}, form)));
  return { rate, share: Math.hypot(...sizes, Math.max(0, ...forms)) };
}

/**
 * What free length and length under load say of rate and load together: the coil gave what the load over the rate is. Load as weighed
 * or estimated and rate by its sizes are both doubtful; each moves by its own share of the doubt until they agree (logarithms, weighed
 * by their inverse squares). The input with both as found, or as it was where one of them is missing or they contradict one another.
 */
export function taughtCoil<K extends CoilKind>(
  input: CoilAxleInput<K>,
  side: Side,
): { input: CoilAxleInput<K>; unfit: string | null } {
  const { coil } = input;
  const known = input.sides[side];
  const { spring } = known;
  if (!coil?.free || !spring?.length) return { input, unfit: null };
  const given = coil.free.value - spring.length.value;
  const { rate, share } = computedRate(coil);
  const said = spring.load.value / input.ratio.value / given / rate;
  if (!(given > 0) || said < 0.7 || said > 1.4)
    return { input, unfit: 'free length, length under load and sizes do not belong to one coil: measure them again' };
  const tape = Math.hypot(coil.free.half90, spring.length.half90) / given;
  const [ofLoad, ofCoil] = [(spring.load.half90 / spring.load.value) ** 2, share ** 2 + tape ** 2];
  // A load that is known for certain, or a coil, keeps what it is.
  const all = ofLoad + ofCoil || 1;
  const load = spring.load.value * said ** (-ofLoad / all);
  const value = said ** (share ** 2 / all);
  const rateHalf = Math.sqrt((share ** 2 * (ofLoad + tape ** 2)) / all);
  const rateFactor: Estimate = { value, half90: value * rateHalf, origin: 'calibrated' };
  const loadHalf = load * Math.sqrt((ofLoad * ofCoil) / all);
  // The rate is known as a whole: what each size and the ends might do to it has been used up.
  const sure = (e: Estimate): Estimate => ({ ...e, half90: 0 });
  const ends = coil.ends === 'unknown' ? USUAL_ENDS : coil.ends;
  const sizes = { wire: sure(coil.wire), outside: sure(coil.outside), turns: sure(coil.turns), ends };
  const taught = { ...spring, load: { value: load, half90: loadHalf, origin: 'calibrated' as const } };
  return {
    input: {
      ...input,
      coil: { ...coil, ...sizes, rateFactor },
      sides: { ...input.sides, [side]: { ...known, spring: taught } },
    },
    unfit: null,
  };
}
