import { uboltFacts, type UboltFacts } from '@/core/selection/uboltNeed';
import { type AxleView } from './job';
import { sheetOf } from './sheet';

/** What was read of a job's U-bolts, for the size of new ones. */
export const uboltsOf = (view: AxleView): UboltFacts =>
  uboltFacts(
    sheetOf(view, []),
    view.pack.uboltBend,
    view.readings.find((r) => r.point === 'uboltThread' && r.phase === 'before')?.typed ?? null,
  );
