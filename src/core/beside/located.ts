import { unread, waits, type BesidePoint, type BesideRead, type ReadRow } from './readRow';
import { workOut, type Locator, type Piece } from '../mechanics/stack/pieces';
import { type Arrangement } from '../mechanics/stack/stack';

/** What lies between spring and axle as planned. */
export interface StackOf {
  arrangement: Arrangement;
  /** Head of the centre bolt, mm across; null where nobody read it. */
  dowel: number | null;
  /** Heights of what is planned, or stays; null where there is none. */
  block: number | null;
  wedge: number | null;
}

/** Deeper than any pin is high: a hole that goes through. */
const THROUGH = 500;

const pin = (diameter: number | undefined, height: number | undefined): Locator =>
  diameter === undefined
    ? { kind: 'unknown' }
    : diameter === 0
      ? { kind: 'plain' }
      : height === undefined
        ? { kind: 'unknown' }
        : { kind: 'pin', diameter, height };
const hole = (diameter: number | undefined, depth: number | undefined): Locator =>
  diameter === undefined
    ? { kind: 'unknown' }
    : diameter === 0
      ? { kind: 'plain' }
      : depth === undefined
        ? { kind: 'unknown' }
        : { kind: 'hole', diameter, depth };

/** Whether every joint from the spring down to the axle's pad is located by a pin in a hole. Friction holds the axle, the pin places it. */
export function locatedRow(read: BesideRead, { arrangement, dowel, block, wedge }: StackOf): ReadRow<'joints'> {
  const wants = unread(read, [
    ...(['dowelHeight', 'padHole', 'padDepth'] as const satisfies readonly BesidePoint[]),
    ...(wedge === null ? [] : (['wedgeHole', 'wedgePin'] as const)),
    ...(wedge !== null && read.wedgePin !== 0 ? (['wedgePinHeight'] as const) : []),
    ...(block === null ? [] : (['blockHole', 'blockHoleDepth', 'blockPin', 'blockPinHeight'] as const)),
  ]);
  const head = pin(dowel ?? undefined, read.dowelHeight);
  // The head of the bolt goes through a wedge without a pin of its own, if it is long enough.
  const past: Locator =
    head.kind !== 'pin' || wedge === null
      ? head
      : head.height > wedge
        ? { ...head, height: head.height - wedge }
        : { kind: 'plain' };
  const pieces: Piece[] = [
    ...(wedge === null
      ? []
      : [
          {
            ...{ kind: 'wedge' as const, height: wedge },
            towardsSpring: hole(read.wedgeHole, read.wedgePin === 0 ? THROUGH : wedge),
            towardsAxle: read.wedgePin === 0 ? past : pin(read.wedgePin, read.wedgePinHeight),
          },
        ]),
    ...(block === null
      ? []
      : [
          {
            ...{ kind: 'block' as const, height: block },
            towardsSpring: hole(read.blockHole, read.blockHoleDepth),
            towardsAxle: pin(read.blockPin, read.blockPinHeight),
          },
        ]),
    {
      ...{ kind: 'perch', height: 0 },
      towardsSpring: hole(read.padHole, read.padDepth),
      towardsAxle: { kind: 'plain' },
    },
  ];
  const { joints, verdict } = workOut(arrangement, head, pieces);
  if (verdict === 'not checked') return waits('joints', wants);
  const words = joints.map(({ between: [upper, lower], reason }) => `${upper} on ${lower}: ${reason}`);
  const wrong = joints.filter((joint) => joint.verdict === 'does not fit');
  const longer =
    wedge !== null && read.wedgePin === 0 && past.kind === 'plain' ? ' A longer head, or a wedge with a pin.' : '';
  return {
    ...{ item: 'joints', state: verdict, half90: null, wants, working: words },
    text:
      wrong.length > 0
        ? `${wrong.map(({ between: [upper, lower], reason }) => `${upper} on ${lower}: ${reason}`).join('; ')}.${longer}`
        : `Each of the ${joints.length === 1 ? 'one joint' : `${joints.length} joints`} has its pin in its hole.`,
  };
}
