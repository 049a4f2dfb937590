import { type PointId } from '@/core/measure/points';
import { type HubTravel } from '@/core/travel/hubTravel';

/** What nobody read, ranked by what it does to a height. */
export interface Assumptions {
  ranked: readonly {
    path: string;
    /** The reading that would replace it; null where none can. */
    point: PointId | null;
    /** Effect of its own 90 % half-width on the height, mm. */
    effect: number;
    /** By how much reading it would shrink the height's half-width, mm. */
    narrows: number;
  }[];
  /** Whether they were ranked by the plan, or by something that is only tried. */
  by: 'plan' | 'trial';
  /** What is tried, in words. */
  trial: string;
  /** 90 % half-width of the height they were ranked on, mm. */
  half: number;
  /** Where the hub goes, with the plan where there is one. */
  travel: HubTravel | null;
}
