import { besidesSpring } from '../../procedure/besides';
import { DRIVEN_IN, each, getDown, getUp, handOver, type Way, type Words, wordsOf } from '../../procedure/common';
import { HAZARDS, ONE_SIDE } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';
import { type BushTypeId } from '../../bush/types';
import { bushWork } from '../../procedure/bush';
import { bushFacts, freed, freeing } from '../../procedure/seized';
import { coilApart, coilFinal, coilTogether } from './procedure';

const WORDS: Record<'across' | 'trailing', Words> = {
  across: {
    chock: 'Chock the rear wheels, both ways; park brake on, level firm ground',
    hold: 'A jack under each beam near its wheel, a stand under each beyond it; each beam swings for itself',
  },
  trailing: {
    chock:
      'Chock the front wheels, both ways; in gear, the park brake let off where its cable is worked at, level firm ground',
    hold: 'Jack under the middle of the beam, stands under both its arms near the hubs',
  },
};

/** One pivot, while the jack carries its beam in the bolt's place. */
function pivot(side: Side, trailing: boolean, bush: BushTypeId, way: Way): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const reached = {
    [at('spring')]: ['slack'],
    axle: ['held'],
    [at('pivot')]: ['tight'],
    ...(trailing && { [at('bracket')]: ['out'] }),
  };
  return [
    ...(trailing
      ? [
          {
            ...{
              picture: true,
              id: at('bracketOff'),
              side,
              act: 'Park-brake cable’s bracket off for room, the cable tied clear of the arm',
            },
            ...{ needs: { axle: ['held'], [at('bracket')]: ['tight'] }, gives: { [at('bracket')]: 'out' } },
            mark: 'How the bracket lies and which of its bolts is the stud.',
          },
        ]
      : []),
    ...freeing(side, 'Pivot bolt', way, reached),
    {
      ...{
        picture: true,
        id: at('pivotOff'),
        side,
        act: 'Jack just carrying the beam at its pivot: nut off, bolt worked out and kept in reach; the beam let down until the bush is free',
      },
      needs: { ...reached, ...freed(side, way) },
      gives: { [at('pivot')]: 'out' },
      mark: 'Which way the bolt went in.',
      caution: 'The jack is the pivot now: nobody under the beam, no flame near rubber, fuel or brake lines.',
    },
    ...bushWork(side, bush, 'Pivot', way, { [at('pivot')]: ['out'] }),
    {
      ...{
        id: at('pivotOn'),
        side,
        act: 'Beam raised to its hole by the jack, never by the bolt; bolt in the way it was, nut run on only',
      },
      needs: { [at('pivot')]: ['out'], [at('newBush')]: ['in'] },
      gives: { [at('pivot')]: 'run on' },
      loose: 'Pivot bolt, until the weight is on.',
      caution: 'Fingers out of the hole: look through it with a drift.',
    },
    ...(trailing
      ? [
          {
            ...{
              id: at('bracketOn'),
              side,
              act: 'Bracket offered up with its stud, its bolts started evenly, snug, then to their figure; cable back in its clip',
            },
            ...{ needs: { [at('pivot')]: ['run on'], [at('bracket')]: ['out'] }, gives: { [at('bracket')]: 'final' } },
          },
        ]
      : []),
  ];
}

/** The operations of two beams that swing across, or one that trails, on coils. Pivots are worked at one after the other. Common practice. */
export function swingProcedure(planned: readonly Planned[], way: Way, trailing: boolean): Procedure {
  const has = (...kinds: string[]) => planned.some(({ kind }) => kinds.includes(kind));
  const [springs, spacer, pivots] = [has('coil', 'spacer'), has('spacer'), has('pivotBush')];
  const beside = besidesSpring(planned, springs || pivots);
  // A beam is let down from its pivot only when its coil is slack: then the coil comes out as well.
  const any = springs || pivots;
  // Those that turn on a sleeve are two halves of polyurethane in the old shell.
  const bush = planned.find((p) => p.kind === 'pivotBush')?.bush === 'turns' ? 'polyurethane' : 'bonded';
  const inner = (s: Side) => (pivots ? pivot(s, trailing, bush, way) : []);
  const order =
    way.sides === 'one'
      ? each((s) => [...coilApart(s, 'beam'), ...inner(s), ...coilTogether(s, spacer, 'beam')]).flat()
      : [
          ...each((s) => coilApart(s, 'beam')).flat(),
          ...each(inner).flat(),
          ...each((s) => coilTogether(s, spacer, 'beam')).flat(),
        ];
  const done = Object.assign(
    { ...beside.done },
    ...each((s) => ({
      ...(any && { [`seat.${s}`]: ['final'] }),
      ...(pivots && { [`pivot.${s}`]: ['final'], ...(trailing && { [`bracket.${s}`]: ['final'] }) }),
    })),
  ) as Record<string, string[]>;
  const start = Object.fromEntries(
    each((s) => ['seat', 'pivot', 'bracket'].map((place): [string, string] => [`${place}.${s}`, 'tight'])).flat(),
  );
  return {
    start: { ...DRIVEN_IN, ...bushFacts(way), ...start },
    operations: [
      ...getUp(wordsOf(WORDS[trailing ? 'trailing' : 'across'], way), beside.strip),
      ...beside.operations,
      ...(any ? order : []),
      ...beside.late,
      ...getDown(
        (s) => ({
          ...(any && { [`seat.${s}`]: ['snug'] }),
          ...(pivots && { [`pivot.${s}`]: ['run on'], ...(trailing && { [`bracket.${s}`]: ['final'] }) }),
        }),
        beside.strip,
        way,
      ),
      ...(any ? each(coilFinal) : []),
      ...(pivots
        ? each((side): Operation => ({
            ...{
              id: `beamFinal.${side}`,
              side,
              act: 'Pivot bolt to its figure at ride height, weight on the wheels or the car backed on ramps; rubber is never tightened hanging',
            },
            needs: { settled: ['yes'], [`pivot.${side}`]: ['run on'] },
            gives: { [`pivot.${side}`]: 'final' },
          }))
        : []),
      ...(pivots && !trailing
        ? [
            {
              ...{ id: 'toe', side: null, act: 'Toe and camber read and set: new pivots and another height move both' },
              ...{
                needs: { settled: ['yes'], 'pivot.left': ['final'], 'pivot.right': ['final'] },
                gives: { toe: 'set' },
              },
            },
          ]
        : []),
      ...beside.last,
      ...handOver({ ...done, ...(pivots && !trailing && { toe: ['set'] }) }, beside.strip),
    ],
    hazards: way.sides === 'one' ? [...HAZARDS, ONE_SIDE] : HAZARDS,
  };
}
