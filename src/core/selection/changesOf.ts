import { type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { type Candidate } from './generate';

/** A candidate's changes, helpers that were there, and the broken leaf made good where the axle has one and no other pack takes its place. */
export const changesOf = (input: LeafAxleInput, candidate: Candidate): LeafAxleInput['changes'] => [
  ...input.changes.filter(
    (c) =>
      (c.kind === 'helper' && !candidate.changes.some((d) => d.kind === 'helper')) ||
      (c.kind === 'mendLeaf' && !candidate.changes.some((d) => d.kind === 'pack')),
  ),
  ...candidate.changes,
];
