/** What the finite-element program found for one case on one mesh. */
export interface FemResult {
  /** Length of an element along the leaf, mm. */
  element: number;
  /** Wall time on one core, s. */
  seconds: number;
  states: {
    load: number;
    arch: number;
    eyeDistance: number;
    /** Largest bending stress of each leaf from one and a half thicknesses beyond the clamp outwards, MPa. */
    stress: number[];
  }[];
}

export interface FemResults {
  program: string;
  cases: Record<string, FemResult>;
  convergence: FemResult[];
}
