import { besidesSpring } from '../../procedure/besides';
import { DRIVEN_IN, each, getDown, getUp, handOver, type Way, wordsOf } from '../../procedure/common';
import { HAZARDS, UNCOMPRESSED } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';

const WORDS = {
  chock: 'Chock the rear wheels, both ways; park brake on, level firm ground',
  hold: 'A jack under each lower arm near its ball joint; a stand under each',
};

function unit(side: Side, work: { coil: boolean; perch: boolean; spacer: boolean }): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  return [
    {
      ...{
        picture: true,
        id: at('camsMarked'),
        side,
        act: 'Mark every alignment cam against its bracket with paint, then slacken its bolt: none comes out',
      },
      needs: { axle: ['held'], [at('cams')]: ['tight'] },
      gives: { [at('cams')]: 'loose' },
      mark: 'The painted lines of both cams.',
    },
    {
      ...{
        picture: true,
        id: at('unitOff'),
        side,
        act: 'Jack taking the arm’s weight: lower bolt out, top nuts off, arm let down, unit out upright; the nut in the middle is not touched',
      },
      needs: { axle: ['held'], lines: ['free'], [at('cams')]: ['loose'], [at('unit')]: ['tight'] },
      gives: { [at('unit')]: 'out' },
      mark: 'How the top plate stands against the lower eye; which groove the seat’s clip sits in, both sides.',
      caution: 'The coil is still pressed inside its unit: the top nut in the middle stays on.',
    },
    {
      ...{
        id: at('compress'),
        side,
        act: 'STOP POINT: compressor of this coil’s size on opposite turns, hooks seated, run down evenly until the coil is loose between its seats',
      },
      needs: { [at('unit')]: ['out'] },
      ...{ gives: { [at('compressor')]: 'on' }, holds: true },
      caution: 'Nothing of the unit is undone before. Nobody stands over it, and nobody stands on the compressor.',
      takes: { tool: 'compressor', else: 'Without one the unit is not taken apart: it goes to who has one, whole.' },
    },
    {
      ...{
        id: at('stemOff'),
        side,
        act: 'Nut in the middle off, top mount, washers and rubber laid down in their order, coil off its unit',
      },
      needs: { [at('compressor')]: ['on'], [at('stem')]: ['tight'] },
      gives: { [at('stem')]: 'out' },
    },
    {
      ...{
        id: at('perchSet'),
        side,
        act: `${work.coil ? 'Planned coil' : 'Coil'}${work.spacer ? ' with its spacer' : ''} onto the unit, its end against its step${
          work.perch ? '; lower seat’s clip in the planned groove of this side, counted from the end' : ''
        }`,
      },
      ...{ needs: { [at('stem')]: ['out'] }, gives: { [at('perch')]: 'as planned' } },
    },
    {
      ...{
        id: at('stemOn'),
        side,
        act: 'Top mount and washers as they lay, plate turned as on the picture, nut in the middle to its figure; a crow-foot’s length is reckoned in',
      },
      needs: { [at('stem')]: ['out'], [at('perch')]: ['as planned'], [at('compressor')]: ['on'] },
      gives: { [at('stem')]: 'final' },
    },
    {
      ...{
        id: at('release'),
        side,
        act: 'Compressor let off evenly; the coil’s ends stand against their steps, both seats full',
      },
      ...{ needs: { [at('stem')]: ['final'] }, gives: { [at('compressor')]: 'off again' } },
    },
    {
      ...{
        id: at('unitOn'),
        side,
        act: 'Unit in, top nuts by hand, arm up by the jack, lower bolt in; top nuts to their figure',
      },
      needs: { [at('unit')]: ['out'], [at('compressor')]: ['off again'] },
      gives: { [at('unit')]: 'run on' },
      loose: 'Lower bolt and cams, until the weight is on.',
    },
  ];
}

/** The operations of coils over their dampers, in front: each side's unit is taken out and apart for itself. Common practice. */
export function unitProcedure(planned: readonly Planned[], way: Way): Procedure {
  const has = (kind: string) => planned.some((p) => p.kind === kind);
  const work = { coil: has('coil'), perch: has('perch'), spacer: has('spacer') };
  const any = work.coil || work.perch || work.spacer;
  const beside = besidesSpring(planned, any);
  const [first, second] = each((s) => unit(s, work)) as [Operation[], Operation[]];
  // Both units out side by side, or one back in before the other comes out.
  const order = way.sides === 'one' ? [...first, ...second] : first.flatMap((op, k) => [op, second[k]!]);
  const start = Object.fromEntries(
    each((s) => ['unit', 'stem', 'cams'].map((place): [string, string] => [`${place}.${s}`, 'tight'])).flat(),
  );
  const done = Object.assign(
    { ...beside.done },
    ...(any ? each((s) => ({ [`unit.${s}`]: ['final'], [`cams.${s}`]: ['final'] })) : []),
  ) as Record<string, string[]>;
  return {
    start: { ...DRIVEN_IN, ...start },
    operations: [
      ...getUp(wordsOf(WORDS, way), beside.strip),
      ...beside.operations,
      ...(any ? order : []),
      ...beside.late,
      ...getDown((s) => (any ? { [`unit.${s}`]: ['run on'] } : {}), beside.strip, way),
      ...(any
        ? each((side): Operation[] => [
            {
              ...{
                id: `unitFinal.${side}`,
                side,
                act: 'Lower bolt of the unit to its figure, weight on',
              },
              ...{ needs: { settled: ['yes'], [`unit.${side}`]: ['run on'] }, gives: { [`unit.${side}`]: 'final' } },
            },
            {
              ...{
                id: `camsFinal.${side}`,
                side,
                act: 'Cams on their painted lines, bolts to their figure, weight on; alignment read afterwards: another height moves it',
              },
              needs: { settled: ['yes'], [`cams.${side}`]: ['loose'], [`unit.${side}`]: ['final'] },
              gives: { [`cams.${side}`]: 'final' },
            },
          ]).flat()
        : []),
      ...beside.last,
      ...handOver(done, beside.strip),
    ],
    hazards: [...HAZARDS, UNCOMPRESSED],
  };
}
