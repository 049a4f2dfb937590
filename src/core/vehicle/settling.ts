/**
 * What settling is expected to take of the height after the work, by what the work put in, mm, 90 %; over some 1,500 km. Common practice.
 * A re-arched pack has lost its set, like a new one. Rubber creeps by some 3 to 7 % of its standing shear in every tenfold of time (natural
 * rubber, from memory): of 20 to 40 mm, from the first minutes to some weeks, what stands here.
 */
export const SETTLING = {
  addedLeaf: { name: 'a leaf added', value: -5, half90: 5 },
  newPack: { name: 'a new or re-arched pack', value: -5, half90: 4 },
  usedPack: { name: 'springs that had settled before', value: 0, half90: 3 },
  newCoil: { name: 'new coils', value: -5, half90: 4 },
  usedCoil: { name: 'coils that had settled before', value: 0, half90: 3 },
  newSprings: { name: 'new springs of a pair of axles', value: -5, half90: 4 },
  newRubber: { name: 'new rubber blocks', value: -4, half90: 3 },
  usedRubber: { name: 'rubber blocks that had crept before', value: 0, half90: 2 },
  usedSprings: { name: 'springs of a pair that had settled before', value: 0, half90: 3 },
} as const;
export type SettlingId = keyof typeof SETTLING;
export const SETTLING_IDS = Object.keys(SETTLING) as SettlingId[];

/** A quantity as it is expected before anything of it is read. */
export interface Expected {
  value: number;
  half90: number;
}

/**
 * What a shop expects from its own measurements in the place of common practice, 90 % half-width beside it, and of how many jobs it learnt
 * that. It is told and never drawn, so its half-width has another name than that of an estimate.
 */
export type Expects = Partial<Record<SettlingId, { value: number; half: number; jobs: number }>>;

/** What is expected of it here: what this shop learnt, else common practice. `jobs` 0 for the latter. */
export function expectedSettling(id: SettlingId, expects: Expects | undefined): Expected & { jobs: number } {
  const learnt = expects?.[id];
  if (learnt) return { value: learnt.value, half90: learnt.half, jobs: learnt.jobs };
  const { value, half90 } = SETTLING[id];
  return { value, half90, jobs: 0 };
}
