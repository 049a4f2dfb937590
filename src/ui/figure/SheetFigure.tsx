'use client';
import { useMemo, useState, type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { pointOf, type PointId } from '@/core/measure/points';
import { type Side } from '@/core/vehicle/side';
import { Chips } from '../controls/Chips';
import { SideChips } from '../controls/SideChips';
import { fieldKey, whose, type FieldAt } from '../measure/fields';
import { FigureDrawing } from './FigureDrawing';
import { type FigureSet } from './figureSet';
import { figureValues, type Values } from './values';
import { type FieldOf } from './vehicleFigures';

interface Props {
  view: JobView;
  figures: FigureSet;
  focus: FieldAt | null;
  next?: FieldAt | null;
  typing?: string | null;
  /** At the end of its head. */
  aside?: ReactNode;
  onPick: (at: FieldAt) => void;
}

/** The figure of the field at work; without one, the figure picked by hand. */
export function SheetFigure({ view, figures, focus, next = null, typing = null, aside, onPick }: Props) {
  const ids = Object.keys(figures.names);
  const [picked, setPicked] = useState(ids[0]!);
  const [side, setSide] = useState<Side>('left');
  const [last, setLast] = useState<string | null>(null);
  const key = focus && fieldKey(focus);
  // The figure stays where the last field was until another is picked.
  if (key !== null && key !== last) {
    setLast(key);
    setPicked(figures.ofGroup[pointOf(focus!.point).group] ?? ids[0]!);
    const { side: of } = whose(view, focus!);
    if (of) setSide(of);
  }
  const base = view.states[0]?.id ?? null;
  const stateId = focus?.stateId ?? base;
  const given = useMemo(() => figureValues(view, stateId, figures.standIn?.(view)), [view, stateId, figures]);
  // A side with a spring of its own is drawn from its own readings.
  const own = view.own?.pack.side === side ? side : null;
  const sideOf = (point: PointId, of: Side | null) => of ?? (pointOf(point).ofSpring ? own : null);
  const values: Values = (point, of = null, leafId = null) => given(point, sideOf(point, of), leafId);
  const field: FieldOf = (point, of = null, leafId = null) => ({
    point,
    side: sideOf(point, of),
    leafId,
    stateId: pointOf(point).loaded ? stateId : null,
  });
  const figure = figures.build(picked, { view, values, field, stateId, side });
  const state = view.states.find((s) => s.id === stateId);
  return (
    <>
      <div className="figure-picks">
        <Chips
          label="Figure"
          options={ids.map((id) => ({ id, name: figures.names[id]! }))}
          value={picked}
          onPick={setPicked}
        />
        {figures.sided(picked, view) ? <SideChips label="Side shown" value={side} onPick={setSide} /> : null}
        {aside}
      </div>
      {figure ? (
        <FigureDrawing
          figure={figure}
          view={view}
          values={values}
          focus={focus}
          next={next}
          typing={typing}
          onPick={onPick}
        />
      ) : (
        <p className="muted">Drawing…</p>
      )}
      {state && state.ordinal > 0 ? <p className="muted">With {state.name} aboard.</p> : null}
    </>
  );
}
