import { type Reach } from './ledger';
import { type Band } from './band';

/** How far a band reaches about what is foretold. */
export const reachOf = ({ low, high }: Pick<Band, 'low' | 'high'>, foretold: number): Reach => ({
  below: foretold - low,
  above: high - foretold,
});
