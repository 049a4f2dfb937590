/** Young's modulus of spring steel, MPa. Common handbook value, used unless the part says otherwise. */
export const SPRING_STEEL_E = 206_800;
/** Shear modulus of spring steel, MPa. Common handbook value. */
export const SPRING_STEEL_G = 79_300;

/** Standard gravity, m/s² (exact by definition, 3rd CGPM 1901). */
export const GRAVITY = 9.80665;

/**
 * Second moment of area of a rectangular leaf.
 * @param width mm, @param thickness mm @returns mm⁴
 */
export const leafInertia = (width: number, thickness: number): number => (width * thickness ** 3) / 12;

/**
 * Limits of hardened and tempered spring steel at 388 to 461 HB, MPa: a standing load about half of yield, full bump near
 * 1,000 to 1,100 for shot-peened leaves, the lower taken (SAE HS-788 leaf spring manual, from memory); yield twice the standing
 * limit, what a clamp may flatten a leaf to without setting it; tensile strength at the lower hardness, about 3.4 times HB
 * (from memory). Those are limits of the nominal stress, of load and sizes alone; where the next leaf's tip presses, a solved peak is about 1.4
 * times as high in packs of the usual make, so a standing peak is held against 1.4 times the standing limit (chosen).
 */
export const SPRING_STEEL_LIMITS = { static: 600, peak: 840, bump: 1000, yield: 1200, tensile: 1320 } as const;
