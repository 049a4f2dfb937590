import { Sheet } from '../../controls/Sheet';
import { type JobHandle } from '../../job/useJob';
import { BrokenLeaf } from './BrokenLeaf';

/** Beside the inspection of leaf springs: the pack taken apart. */
export const LeafAside = ({ job }: { job: JobHandle }) => (
  <Sheet title="The pack, and where a leaf is broken">
    <BrokenLeaf job={job} />
  </Sheet>
);
