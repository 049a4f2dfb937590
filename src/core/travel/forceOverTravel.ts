import { hubDrop, type HubDrop } from './hubTravel';

/** What rests on one spring where its hub stands, as it is and as planned. */
export interface ForcePlace {
  at: HubDrop;
  /** N. */
  load: number;
}

/**
 * A curve of heights over loads turned into loads over the hub's travel, from the place that hangs lowest up. @param curve heights of the frame above the hub,
 * mm, over loads, N @param height of it today in the load of the day, mm
 */
export function forceOverTravel(
  curve: readonly { load: number; old: number; built: number }[],
  height: number,
): { was: ForcePlace[]; will: ForcePlace[] } {
  const of = (key: 'old' | 'built') =>
    curve
      .map((point): ForcePlace => ({ at: hubDrop(point[key] - height), load: point.load }))
      .toSorted((p, q) => q.at - p.at);
  return { was: of('old'), will: of('built') };
}
