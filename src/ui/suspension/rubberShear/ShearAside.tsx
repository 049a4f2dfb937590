import { Sheet } from '../../controls/Sheet';

/** Beside the inspection of a rubber shear spring: where it gives out, and what the work is careful of. */
export const ShearAside = () => (
  <Sheet title="Where a rubber shear spring gives out">
    <ul className="answers">
      <li>Fine cracks in its skin are weather. What counts is how deep a flat probe goes, and over what length.</li>
      <li>At the edge of a plate, where rust creeps under the bond: a bond that has let go goes on all at once.</li>
      <li>One side low: read both carriers against their frame plates first. A block that has crept shows there.</li>
      <li>Holes in another row on one side hang the axle skew, and nobody sees it from above.</li>
    </ul>
    <p className="muted small">
      The nose is pressed as long as the axle stands on it: frame and axle on stands, the load taken over by the tool or
      a ram, only then its bolt. One block at a time, the other side keeps the axle in its place.
    </p>
  </Sheet>
);
