import { Sheet } from '../../controls/Sheet';

/** Beside the inspection of a spring across: where it gives out, and what it holds. */
export const CrossAside = () => (
  <Sheet title="Where a spring across gives out">
    <ul className="answers">
      <li>At the centre bolt’s hole and under the edges of the clamp: that is where it bends most.</li>
      <li>Where the main leaf rolls into its eyes: it holds the wheels in their place, there is nothing else.</li>
      <li>
        A wheel that points another way than yesterday: kingpin, tie rod’s end, or the spring has wandered in its clamp.
      </li>
      <li>One side low: read both eyes. A leaf broken at the bolt lets both sides down alike.</li>
    </ul>
    <p className="muted small">
      Its halves are loaded for themselves: hold both hubs, take the load off the end you work at, and look at the other
      one before its bolt comes out.
    </p>
  </Sheet>
);
