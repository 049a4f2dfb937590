import { type CarriedReading } from '@/contracts/ask';
import { EMPTY_GOAL, type Goal } from './GoalFields';
import { type LoadDraft } from './LoadFields';
import { EMPTY_VEHICLE, type VehicleDraft } from './VehicleFields';

/** Name under which the form of a new job is kept on this screen. */
export const NEW_JOB = 'new-job';

/** A new job as it is typed. */
export interface JobDraft {
  /** Made once, so that a second try after a lost answer makes no second job. */
  id: string;
  vehicle: VehicleDraft;
  goal: Goal;
  leafCount: number;
  load: LoadDraft;
  wantedIn: 'today' | 'usual';
  /** Read before there was a job. */
  readings?: CarriedReading[];
}

export const EMPTY_JOB: JobDraft = {
  id: '',
  vehicle: EMPTY_VEHICLE,
  goal: EMPTY_GOAL,
  leafCount: 4,
  load: { name: '', items: [] },
  wantedIn: 'today',
};
