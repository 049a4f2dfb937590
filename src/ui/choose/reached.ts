import { type JobView } from '@/contracts/job';
import { chanceOf } from '@/core/height/chance';
import { type Band } from '@/core/prediction/band';
import { reachOf } from '@/core/prediction/reach';
import { summarise, type LedgerLine } from '@/core/prediction/ledger';

interface State {
  id: string;
  ledger: readonly LedgerLine[];
  firstOrder: number;
}

/** A state's height change, how far from it nine in ten such jobs end, and how many of them end inside the wish. */
export function reached({ job, states }: JobView, state: State, band: Band | undefined) {
  const { change } = summarise(state.ledger);
  const half = band?.half ?? state.firstOrder;
  const centre = band ? (state.ledger.find((line) => line.kind === 'total')?.value ?? change) : change;
  const reach = band ? reachOf(band, centre) : { below: half, above: half };
  return {
    ...{ change, half, reach },
    chance: chanceOf(change, reach, { target: job.wantedChange, tolerance: job.tolerance }),
    /** Whether the wish was made for this load state. */
    wantedHere: states.find((s) => s.id === state.id)?.wanted ?? false,
  };
}
