import { CoreError } from '../errors';
import { type BushPoint } from '../sheet/bushes';
import { type DrivelinePoint } from '../sheet/driveline';
import { type JointPoint } from '../sheet/joints';
import { type WheelPoint } from '../sheet/wheels';
import { type Verdict } from '../verdict';

/** What is asked for at Check besides what ends the travel. */
export type BesidePoint = BushPoint | JointPoint | WheelPoint | DrivelinePoint;
/** What of it was read, core units; absent where nobody did. */
export type BesideRead = Readonly<Partial<Record<BesidePoint, number>>>;

/** A verdict on readings of its own: what it still waits for, how wide its figure is, how it was reckoned. */
export interface ReadRow<I extends string = string> extends Verdict<I> {
  /** 90 % half-width of the figure; null without one. */
  half90: number | null;
  wants: readonly BesidePoint[];
  working: readonly string[];
}

/** A row; readings that cannot be reckoned with, a figure typed wrong, are told at it and break nothing else. */
export function told<I extends string>(item: I, row: () => ReadRow<I>): ReadRow<I> {
  try {
    return row();
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return {
      ...{ item, state: 'look', half90: null, wants: [], working: [] },
      text: `Its readings do not go together (${error.message}): read them again.`,
    };
  }
}

/** A row that waits for its readings. */
export const waits = <I extends string>(item: I, wants: readonly BesidePoint[]): ReadRow<I> => ({
  ...{ item, state: 'not checked', text: '', half90: null, working: [] },
  wants,
});

/** Which of these nobody read. */
export const unread = (read: BesideRead, points: readonly BesidePoint[]): BesidePoint[] =>
  points.filter((point) => read[point] === undefined);
