import { type Side } from '@/core/vehicle/side';
import { type AxleView } from './job';

/** The pack of one side with its leaves: its own where the sides are unlike. */
export const packAt = (view: AxleView, side: Side | null): Pick<AxleView, 'pack' | 'leaves'> =>
  side !== null && view.own?.pack.side === side ? view.own : view;
