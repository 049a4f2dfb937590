'use client';
import { useMemo, useState } from 'react';
import { packAt, type JobView } from '@/contracts/job';
import { type Side } from '@/core/vehicle/side';
import { type LeafPrediction } from '@/core/suspension/longitudinalLeaf/kind';
import { pointOf, type GroupId, type PointId } from '@/core/measure/points';
import { Chips } from '../controls/Chips';
import { SideChips } from '../controls/SideChips';
import { fieldKey, whose, type FieldAt } from '../measure/fields';
import { FigureDrawing } from './FigureDrawing';
import { benchFigure, leavesFigure } from './leafFigures';
import { type Figure } from './marks';
import { springFigure } from './springFigure';
import { stackFigure, threadFigure } from './stackFigure';
import { figureValues, type Values } from './values';
import { endFigure, roadFigure, vehicleFigure, type FieldOf } from './vehicleFigures';

const FIGURES = ['behind', 'vehicle', 'road', 'spring', 'stack', 'thread', 'leaves', 'bench'] as const;
type FigureId = (typeof FIGURES)[number];
const NAMES: Record<FigureId, string> = {
  behind: 'behind',
  vehicle: 'side',
  road: 'road',
  spring: 'spring',
  stack: 'stack',
  thread: 'thread',
  leaves: 'leaves',
  bench: 'bench',
};
const OF_GROUP: Record<GroupId, FigureId> = {
  stance: 'behind',
  weights: 'behind',
  square: 'vehicle',
  road: 'road',
  arch: 'spring',
  linkage: 'spring',
  stack: 'stack',
  ubolts: 'thread',
  leaves: 'leaves',
  check: 'bench',
};

interface Props {
  view: JobView;
  /** The solved spring as it stands; its shape is the figure of the spring. */
  prediction: LeafPrediction | null;
  /** Whether that spring is solved from readings alone. */
  whole: boolean;
  focus: FieldAt | null;
  onPick: (at: FieldAt) => void;
}

/** The figure of the field at work; without one, the figure picked by hand. */
export function SheetFigure({ view, prediction, whole, focus, onPick }: Props) {
  const [picked, setPicked] = useState<FigureId>('behind');
  const [side, setSide] = useState<Side>('left');
  const [last, setLast] = useState<string | null>(null);
  const key = focus && fieldKey(focus);
  // The figure stays where the last field was until another is picked.
  if (key !== null && key !== last) {
    setLast(key);
    setPicked(OF_GROUP[pointOf(focus!.point).group]);
    const { side: of } = whose(view, focus!);
    if (of) setSide(of);
  }
  const base = view.states[0]?.id ?? null;
  const stateId = focus?.stateId ?? base;
  const values = useMemo(() => figureValues(view, stateId), [view, stateId]);
  const figure = build(picked, { view, values, stateId, side, prediction, whole });
  const state = view.states.find((s) => s.id === stateId);
  return (
    <>
      <div className="figure-picks">
        <Chips
          label="Figure"
          options={FIGURES.map((id) => ({ id, name: NAMES[id] }))}
          value={picked}
          onPick={setPicked}
        />
        {picked === 'spring' || picked === 'bench' || (picked === 'leaves' && view.own) ? (
          <SideChips label="Side shown" value={side} onPick={setSide} />
        ) : null}
      </div>
      {figure ? (
        <FigureDrawing figure={figure} view={view} values={values} focus={focus} onPick={onPick} />
      ) : (
        <p className="muted">Drawing…</p>
      )}
      {state && state.ordinal > 0 ? <p className="muted">With {state.name} aboard.</p> : null}
    </>
  );
}

interface Parts {
  view: JobView;
  values: Values;
  stateId: string | null;
  side: Side;
  prediction: LeafPrediction | null;
  whole: boolean;
}

function build(id: FigureId, { view, values: given, stateId, side, prediction, whole }: Parts): Figure | null {
  // A side with a spring of its own is drawn from its own readings.
  const own = view.own?.pack.side === side ? side : null;
  const sideOf = (point: PointId, of: Side | null) => of ?? (pointOf(point).ofSpring ? own : null);
  const values: Values = (point, of = null, leafId = null) => given(point, sideOf(point, of), leafId);
  const field: FieldOf = (point: PointId, of = null, leafId = null) => ({
    point,
    side: sideOf(point, of),
    leafId,
    stateId: pointOf(point).loaded ? stateId : null,
  });
  switch (id) {
    case 'behind':
      return endFigure(values, field);
    case 'vehicle':
      return vehicleFigure(values, field, view.axle.position);
    case 'road':
      return roadFigure(values, field);
    case 'stack':
      return stackFigure(values, field, view.axle.arrangement);
    case 'thread':
      return threadFigure(values, field);
    case 'leaves':
      return leavesFigure(
        values,
        field,
        packAt(view, side).leaves.map((l) => l.id),
      );
    case 'bench':
      return benchFigure(values, field, side);
    case 'spring': {
      const solved = prediction?.sides[side] ?? prediction?.sides.left;
      const state = solved?.states.find((s) => s.id === stateId) ?? solved?.states[0];
      return state?.old ? springFigure(values, field, side, state.old.elevation, whole) : null;
    }
  }
}
