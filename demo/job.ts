import { type NewFinding } from '@/contracts/finding';
import { type NewJobInput } from '@/contracts/ask';
import { type JobAxleInput } from '@/contracts/jobAxle';
import { type VehicleEdit } from '@/contracts/vehicle';
import { type NewTorque } from '@/contracts/torque';
import { type ChangeRow } from '@/contracts/plan';
import { type Seen } from '@/contracts/seen';
import { type PointId } from '@/core/measure/points';
import { type LeafRole, type SeatShape } from '@/core/suspension/longitudinalLeaf/input';
import { type EyeForm } from '@/core/mechanics/leafpack/eyes';

export type Texts = Partial<Record<PointId, string>>;

/** What is read, found and planned of one axle. */
export interface DemoAxle {
  findings?: Omit<NewFinding, 'id' | 'leafId' | 'place' | 'placeTyped'>[];
  torques?: Omit<NewTorque, 'id'>[];
  uboltBend?: 'tube' | 'pack';
  stopStrikes?: 'plate' | 'axle';
  /** What is seen of it and not measured. */
  seen?: Seen;
  pack: DemoPack;
  /** The pack of the right side, where it is unlike the left one's. */
  own?: { pack: DemoPack; once: Texts; leaves: DemoLeaf[] };
  /** Readings of the axle as a whole. */
  once: Texts;
  left: Texts;
  right: Texts;
  /** The same spring read again with its usual load aboard. */
  second?: { once: Texts; left: Texts; right: Texts };
  leaves: DemoLeaf[];
  changes: ChangeRow[];
  /** Other plans beside it. */
  plans?: { name: string; changes: ChangeRow[] }[];
}

interface DemoPack {
  eyeForm: EyeForm | null;
  seatShape: SeatShape | 'unknown';
  lowestLeaf?: LeafRole;
  shackleAt?: 'front';
  rusty: boolean;
}

/** Thickness, front tip, rear tip of a leaf; from the main leaf down, which has no tips. */
type DemoLeaf = [thickness: string, front?: string, rear?: string];

export interface DemoJob extends DemoAxle {
  ask: Omit<NewJobInput, 'id'>;
  /** What the first heights were read in. */
  day: { fuel: number | null; tyrePressure: number | null; tyrePressureTyped: string | null };
  ratings?: VehicleEdit['ratings'];
  sideFindings?: { what: string; urgency: 'now' | 'soon' | 'nextVisit' }[];
  failures?: { place: string; km: number; cause: string }[];
  /** Other axles the same job works on. */
  also?: (DemoAxle & { take: Omit<Extract<JobAxleInput, { act: 'add' }>, 'id'> })[];
  /** It is on its way into the bay. */
  prepared?: true;
  /** How the hidden truth departs from what was measured; present when the job is proven. */
  truth?: { spread: number; camberShort: number; seed: number };
  /** How it was driven since: the odometer after the work, the drives after which its heights were read, and how the hidden spring settles. */
  followed?: { odometer: number; drives: readonly number[]; settles: { by: number; over: number } };
}
