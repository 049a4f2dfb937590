import { type Estimate } from '../../estimate/estimate';
import { chordUnderCamber } from '../../mechanics/leafpack/arc';
import { ASSUMED } from './assumed';

/** Whether a part lies measured in the hand, or is known from shelf or catalogue only. */
export type PartSource = 'measured' | 'catalogue';

// How well a part's sizes are known, in one place: a candidate and the plan made of it have the same band.

/** 90 % half-widths of a part's sizes, mm. Common practice. */
const HALF = {
  length: 3,
  chord: 5,
  width: 0.5,
  thickness: { measured: 0.15, catalogue: 0.3 },
  block: 0.5,
  shackle: 1,
  perch: 2,
};

const of = (value: number, half90: number, origin: Estimate['origin']): Estimate => ({ value, half90, origin });

/** A leaf of a part; a camber nobody measured is wider still. */
export function leafEstimates(
  leaf: { front: number; rear: number; thickness: number; camber: number },
  source: PartSource,
  camberKnown = true,
) {
  const { front, rear, thickness, camber } = leaf;
  const curved = camberKnown
    ? of(camber, source === 'measured' ? ASSUMED.camberString : ASSUMED.camberCatalogue, source)
    : of(camber, 2 * ASSUMED.camberCatalogue, 'assumed');
  return {
    front: of(front, HALF.length, source),
    rear: of(rear, HALF.length, source),
    thickness: of(thickness, HALF.thickness[source], source),
    camber: curved,
    chord: of(chordUnderCamber(front + rear, camber), HALF.chord, source),
  };
}

export const widthEstimate = (width: number, source: PartSource): Estimate => of(width, HALF.width, source);

/** Eyes of a part: told by form and bore, or by what is usual. */
export const eyesEstimate = (offset: number, known: boolean, source: PartSource): Estimate =>
  known ? of(offset, 1, source) : of(offset, ASSUMED.eyeBore.half90 / 2, 'assumed');

/** No block is exactly none. */
export const blockEstimate = (height: number, source: PartSource): Estimate =>
  of(height, height === 0 ? 0 : HALF.block, source);

export const shackleEstimate = (length: number, source: PartSource): Estimate => of(length, HALF.shackle, source);

/** A perch that is still to be welded on. */
export const perchEstimate = (height: number): Estimate => of(height, HALF.perch, 'assumed');

/** A specialist's re-arching. */
export const rearchEstimate = (camber: number): Estimate => of(camber, ASSUMED.rearched, 'assumed');

/** The same main leaf with eyes rolled otherwise. */
export const newEyesEstimate = (offset: number): Estimate => of(offset, 2, 'assumed');
