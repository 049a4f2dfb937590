import { requireNumber } from '../errors';

/** A tyre by what is moulded on it: section width in mm, height of its wall over that width, and rim in inches. */
export interface TyreSize {
  width: number;
  /** 0.2–1. */
  aspect: number;
  rim: number;
}

/** Under its load a tyre's axle stands about this share of the free radius lower. Memory, chosen: 2 to 4 % of radial tyres. */
export const SQUASH = { value: 0.03, half90: 0.012 } as const;

/** Free radius of a new tyre by its size, mm. Arithmetic of the size; tread wear and the maker's own figure differ by some millimetres. */
export function freeRadius({ width, aspect, rim }: TyreSize): number {
  requireNumber('width', width, 60, 500);
  requireNumber('aspect', aspect, 0.2, 1);
  requireNumber('rim', rim, 4, 30);
  return width * aspect + (rim * 25.4) / 2;
}

/** Height of the hub over the ground, mm. */
export const loadedRadius = (size: TyreSize): number => freeRadius(size) * (1 - SQUASH.value);

/**
 * What another tyre does: the axle's rise with its half-width, mm, each tyre being pressed in by its own share, and by how much the vehicle goes faster than
 * told, as a share.
 */
export function tyreChange(was: TyreSize, now: TyreSize): { rise: number; half90: number; faster: number } {
  return {
    rise: loadedRadius(now) - loadedRadius(was),
    half90: SQUASH.half90 * Math.hypot(freeRadius(was), freeRadius(now)),
    faster: loadedRadius(now) / loadedRadius(was) - 1,
  };
}
