import { type Facts, type Hazard, type Operation } from './operation';

/** One line of a plan, as far as the order of the work asks. */
export interface Planned {
  kind: string;
  /** Of new bushes: what they are made of, and where they go. */
  bush?: string;
  ends?: string;
}

/** Everything an order is composed from. */
export interface Procedure {
  start: Facts;
  /** In the order the trade does them. */
  operations: readonly Operation[];
  hazards: readonly Hazard[];
}
