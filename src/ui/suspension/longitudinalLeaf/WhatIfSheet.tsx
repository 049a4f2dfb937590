'use client';
import { useMemo, useState } from 'react';
import { type LeafAxleInput, type Change } from '@/core/suspension/longitudinalLeaf/input';
import { type Side } from '@/core/vehicle/side';
import { type Estimate } from '@/core/estimate/estimate';
import { summarise } from '@/core/prediction/ledger';
import { decimalText } from '@/core/units/format';
import { Sheet } from '../../controls/Sheet';
import { Slider } from '../../controls/Slider';
import { Length, useLengthText } from '../../measured/Figure';
import { usePrediction } from '../../prediction/usePrediction';
import { Quantity, useWords } from '../../measured/Quantity';

/** What a slider moves: one figure of one change. */
interface Knob {
  id: string;
  name: string;
  value: number;
  least: number;
  most: number;
  step: number;
  /** The change with this figure. */
  put: (change: Change, value: number) => Change;
}

const moved = (e: Estimate, value: number): Estimate => ({ ...e, value });
const about = (value: number, share: number) => ({ least: value * (1 - share), most: value * (1 + share) });

function knobsOf(change: Change, k: number): Knob[] {
  const id = (name: string) => `${k}|${name}`;
  switch (change.kind) {
    case 'addLeaf': {
      const reach = { value: change.front.value, ...about(change.front.value, 0.25) };
      return [
        {
          ...{ id: id('reach'), name: 'added leaf, pin to front tip; the rear in step', step: 5, ...reach },
          put: (c, v) =>
            c.kind === 'addLeaf'
              ? {
                  ...c,
                  front: moved(c.front, v),
                  rear: moved(c.rear, (c.rear.value * v) / c.front.value),
                  chord: moved(c.chord, (c.chord.value * v) / c.front.value),
                }
              : c,
        },
        {
          ...{ id: id('thickness'), name: 'added leaf, thickness', step: 0.1, value: change.thickness.value },
          least: Math.max(3, change.thickness.value - 3),
          most: change.thickness.value + 3,
          put: (c, v) => (c.kind === 'addLeaf' ? { ...c, thickness: moved(c.thickness, v) } : c),
        },
        {
          ...{ id: id('camber'), name: 'added leaf, free camber', step: 1, value: change.camber.value },
          least: change.camber.value - 50,
          most: change.camber.value + 50,
          put: (c, v) => (c.kind === 'addLeaf' ? { ...c, camber: moved(c.camber, v) } : c),
        },
      ];
    }
    case 'block':
      return [
        {
          ...{ id: id('height'), name: 'block height', step: 1, value: change.height.value, least: 0 },
          most: Math.max(80, change.height.value * 1.5),
          put: (c, v) => (c.kind === 'block' ? { ...c, height: moved(c.height, v) } : c),
        },
      ];
    case 'shackle':
      return [
        {
          ...{ id: id('length'), name: 'shackle, bolt to bolt', step: 1, value: change.length.value },
          ...about(change.length.value, 0.35),
          put: (c, v) => (c.kind === 'shackle' ? { ...c, length: moved(c.length, v) } : c),
        },
      ];
    case 'rearch':
      return [
        {
          ...{ id: id('camber'), name: 're-arched by', step: 1, value: change.camber.value, least: 0 },
          most: Math.max(60, change.camber.value * 1.6),
          put: (c, v) => (c.kind === 'rearch' ? { ...c, camber: moved(c.camber, v) } : c),
        },
      ];
    default:
      return [];
  }
}

interface Props {
  /** The axle with its plan. */
  input: LeafAxleInput;
  side: Side;
  stateId: string;
}

/** Sliders round the plan: what if this one figure were another. Nothing here is saved. */
export function WhatIfSheet({ input, side, stateId }: Props) {
  const [turned, setTurned] = useState<Record<string, number>>({});
  const lengthText = useLengthText();
  const words = useWords();
  const knobs = useMemo(() => input.changes.flatMap(knobsOf), [input]);
  const tried = useMemo((): LeafAxleInput => {
    const changes = input.changes.map((change, k) =>
      knobsOf(change, k).reduce((c, knob) => (knob.id in turned ? knob.put(c, turned[knob.id]!) : c), change),
    );
    return { ...input, changes };
  }, [input, turned]);
  const { prediction, refused } = usePrediction(tried, 0, false);
  const state = prediction?.sides[side]?.states.find((s) => s.id === stateId) ?? prediction?.sides[side]?.states[0];
  if (knobs.length === 0) return null;
  return (
    <Sheet
      title="What if"
      aside={
        <button
          type="button"
          className="act quiet"
          disabled={Object.keys(turned).length === 0}
          onClick={() => setTurned({})}
        >
          Back to the plan
        </button>
      }
    >
      {knobs.map((knob) => {
        const value = turned[knob.id] ?? knob.value;
        const text = knob.step < 1 ? words(`${decimalText(value, 1)} mm`) : lengthText(value);
        return (
          <Slider
            key={knob.id}
            id={`what-if-${knob.id}`}
            label={knob.name}
            text={text}
            aside={
              value === knob.value ? null : (
                <span className="muted">
                  {' '}
                  plan {knob.step < 1 ? decimalText(knob.value, 1) : lengthText(knob.value)}
                </span>
              )
            }
            least={knob.least}
            most={knob.most}
            step={knob.step}
            value={value}
            onChange={(next) => setTurned({ ...turned, [knob.id]: next })}
          />
        );
      })}
      <p role="status" data-testid="what-if">
        {refused ? (
          `That cannot be solved: ${refused.reason}.`
        ) : state ? (
          <>
            Then the work changes “{state.name}” by <Length mm={summarise(state.ledger).change} signed />
            {state.built ? (
              <>
                , the rate is <Quantity value={state.built.rate} of="rate" />
              </>
            ) : null}
            .
          </>
        ) : (
          'Solving…'
        )}
      </p>
      <p className="muted small">Live and without its band; type the figure into the plan to keep it.</p>
    </Sheet>
  );
}
