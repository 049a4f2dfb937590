/** Young's modulus of spring steel, MPa. Common handbook value, used unless the part says otherwise. */
export const SPRING_STEEL_E = 206_800;

/** Standard gravity, m/s² (exact by definition, 3rd CGPM 1901). */
export const GRAVITY = 9.80665;

/**
 * Second moment of area of a rectangular leaf.
 * @param width mm, @param thickness mm @returns mm⁴
 */
export const leafInertia = (width: number, thickness: number): number => (width * thickness ** 3) / 12;
