import { COMMON_GROUPS, COMMON_POINTS } from '../sheet/common';
import { type Point } from '../sheet/point';
import { LEAF_GROUPS, LEAF_POINTS } from '../suspension/longitudinalLeaf/points';

/** The groups of the measuring sheet in measuring order: those of every axle, then those of each kind. */
export const GROUPS = [...COMMON_GROUPS, ...LEAF_GROUPS] as const;
export type GroupId = (typeof GROUPS)[number]['id'];

/** Every point that can be measured, of any kind of axle, in measuring order. */
export const POINTS = { ...COMMON_POINTS, ...LEAF_POINTS };
export type PointId = keyof typeof POINTS;
export const POINT_IDS = Object.keys(POINTS) as PointId[];

export const pointOf = (id: PointId): Point & { group: GroupId } => POINTS[id];
