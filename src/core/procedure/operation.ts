import { type ToolKind } from '../prepare/toolKinds';
import { type Side } from '../vehicle/side';

/** How the vehicle stands, as the steps of a job see it: one word a place, `ubolts.left` is `tight`. */
export type Facts = Readonly<Record<string, string>>;

/** What must be so, each place one of some words. */
export type Needs = Readonly<Record<string, readonly string[]>>;

/** One thing that is done to one vehicle, with what it needs and what is so afterwards. */
export interface Operation {
  /** Its name among those of one job: the kind of work and its side. */
  id: string;
  side: Side | null;
  /** What is done. */
  act: string;
  needs: Needs;
  gives: Facts;
  /** It holds the vehicle or takes energy out of it: leaving it out endangers somebody. */
  holds?: true;
  /** The usual caution, said where it matters. */
  caution?: string;
  /** To be looked at or noted before something comes off that can go back two ways. */
  mark?: string;
  /** A picture is asked for before it is ticked: what can go back two ways, or is seen no more. */
  picture?: boolean;
  /** Not for one alone: who is at the other end is asked for before it is ticked. */
  two?: true;
  /** What stays loose afterwards, and until when. */
  loose?: string;
  /** Not done without a tool of this kind, and what comes of doing it without. */
  takes?: { tool: ToolKind; else: string };
}

/** A state in which somebody can be hurt, or something is ruined. */
export interface Hazard {
  id: string;
  /** What is wrong with it, in words for the person under the vehicle. */
  says: string;
  in: (facts: Facts) => boolean;
}

/** One step of an order: the operation, and how everything stands when it is done. */
export interface Step {
  operation: Operation;
  after: Facts;
}

/** Why an order cannot be gone: at which operation, and what is wrong. */
export interface Refusal {
  at: string;
  reason: string;
}

export type Composed = { steps: Step[]; refused: null } | { steps: Step[]; refused: Refusal };
