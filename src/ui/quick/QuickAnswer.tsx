'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { CoreError } from '@/core/errors';
import { QUICK_CHANGES, QUICK_RANGES, quickInput, type QuickAsked, type QuickChange } from '@/core/quick/quickAnswer';
import { type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { countRule, lengthRule, massRule } from '@/core/units/rules';
import { type FieldRule } from '@/core/units/parse';
import { Chips } from '../controls/Chips';
import { pathOf, fit } from '../drawing/scale';
import { Length } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { usePrediction } from '../prediction/usePrediction';
import { useView } from '../theme/View';
import { carryToJob, type QuickDraft, type QuickField } from './carry';

/** Outcomes drawn for the band of a quick answer. */
const OUTCOMES = 6000;

const EMPTY: QuickDraft = { change: 'leaf', values: {} };

const CHANGE_NAMES: Record<QuickChange, string> = { leaf: 'leaf', block: 'block', shackle: 'shackle', load: 'load' };
const AMOUNTS: Record<QuickChange, string> = {
  leaf: 'new leaf',
  block: 'block, high',
  shackle: 'longer by',
  load: 'more on it',
};

const lengthOf = ({ min, max, expected }: { min: number; max: number; expected: number }) =>
  lengthRule(min, max, expected);
const massOf = ({ min, max, expected }: { min: number; max: number; expected: number }) => massRule(min, max, expected);

const RULES: Record<QuickField, FieldRule> = {
  axleLoad: massOf(QUICK_RANGES.axleLoad),
  eyeToEye: lengthOf(QUICK_RANGES.eyeToEye),
  leaves: countRule(QUICK_RANGES.leaves.min, QUICK_RANGES.leaves.max),
  width: lengthOf(QUICK_RANGES.width),
  thickness: lengthOf(QUICK_RANGES.thickness),
  camber: lengthOf(QUICK_RANGES.camber),
  leaf: lengthOf(QUICK_RANGES.amount.leaf),
  block: lengthOf(QUICK_RANGES.amount.block),
  shackle: lengthOf(QUICK_RANGES.amount.shackle),
  load: massOf(QUICK_RANGES.amount.load),
};

const SIX: readonly [QuickField, string][] = [
  ['axleLoad', 'on the axle'],
  ['eyeToEye', 'eye to eye'],
  ['leaves', 'leaves'],
  ['width', 'wide'],
  ['thickness', 'thick'],
];

function askedOf({ change, values }: QuickDraft): QuickAsked | null {
  const { axleLoad, eyeToEye, leaves, width, thickness, camber } = values;
  const amount = values[change];
  if (!axleLoad || !eyeToEye || !leaves || !width || !thickness || !amount) return null;
  return {
    change,
    axleLoad: axleLoad.value,
    eyeToEye: eyeToEye.value,
    leaves: Math.round(leaves.value),
    width: width.value,
    thickness: thickness.value,
    amount: amount.value,
    ...(change === 'leaf' && camber && { camber: camber.value }),
  };
}

/** What one more leaf, block, shackle or load does, from six numbers and without a job. */
export function QuickAnswer() {
  const router = useRouter();
  const [draft, setDraft, forget] = useKept<QuickDraft>('quick', EMPTY);
  const set = (id: QuickField, typed: Typed) => setDraft({ ...draft, values: { ...draft.values, [id]: typed } });
  const { input, refused } = useMemo((): { input: LeafAxleInput | null; refused: string | null } => {
    const asked = askedOf(draft);
    if (!asked) return { input: null, refused: null };
    try {
      return { input: quickInput(asked), refused: null };
    } catch (error) {
      if (error instanceof CoreError) return { input: null, refused: error.message };
      throw error;
    }
  }, [draft]);
  const solved = usePrediction(input, OUTCOMES);
  const { units } = useView();
  /** The narrow fields have no room for their unit. */
  const withUnit = (label: string, { dimension }: FieldRule) =>
    dimension === 'count' ? label : `${label}, ${dimension === 'mass' ? units.mass : units.length}`;
  const states = solved.prediction?.sides.left?.states;
  const state = states?.at(-1);
  const missing = [...SIX.map(([id]) => id), draft.change].filter((id) => !draft.values[id]).length;
  const fields: readonly [QuickField, string][] = [...SIX, [draft.change, AMOUNTS[draft.change]]];
  return (
    <section className="quick" aria-label="Quick answer">
      <div className="quick-ask">
        <h2>
          Quick answer <span className="muted">What will one more do? No job needed.</span>
        </h2>
        <Chips
          label="One more"
          options={QUICK_CHANGES.map((id) => ({ id, name: CHANGE_NAMES[id] }))}
          value={draft.change}
          onPick={(change) => setDraft({ ...draft, change })}
        />
      </div>
      <div className="quick-fields">
        {fields.map(([id, label]) => (
          <TypedField
            key={id}
            label={withUnit(label, RULES[id])}
            spoken={`Quick answer, ${label}`}
            rule={RULES[id]}
            value={draft.values[id] ?? null}
            draft={`quick|${id}`}
            onChange={(typed) => set(id, typed)}
          />
        ))}
        {draft.change === 'leaf' && draft.values.leaf ? (
          <TypedField
            label={withUnit('free camber', RULES.camber)}
            spoken="Quick answer, free camber"
            rule={RULES.camber}
            value={draft.values.camber ?? null}
            draft="quick|camber"
            onChange={(typed) => set('camber', typed)}
            onClear={() => {
              const { camber: _gone, ...values } = draft.values;
              setDraft({ ...draft, values });
            }}
          />
        ) : null}
      </div>
      <div className="quick-verdict" role="status">
        {state?.old && state.built ? (
          <>
            <p className="quick-figure">
              <Length mm={state.change} signed />
            </p>
            <PackSketch old={state.old.elevation} built={draft.change === 'load' ? null : state.built.elevation} />
            <p>
              <Spread band={solved.bands?.left?.[states!.length - 1]} firstOrder={state} />
            </p>
            <p className="muted">
              {draft.change === 'load' ? (
                <>
                  rate <Quantity value={state.old.rate} of="rate" />
                </>
              ) : (
                <>
                  rate <Quantity value={state.old.rate} of="rate" /> to <Quantity value={state.built.rate} of="rate" />
                </>
              )}
              ; all else assumed
            </p>
          </>
        ) : (
          <p className="muted">
            {refused ?? solved.refused?.reason ?? (missing > 0 ? `${missing} of 6 numbers to go` : 'solving…')}
          </p>
        )}
      </div>
      <div className="acts">
        <button
          type="button"
          className="act ruled"
          disabled={missing === 6}
          onClick={() => {
            carryToJob(draft);
            router.push('/jobs/new');
          }}
        >
          Make it a job
        </button>
        <button type="button" className="act quiet" disabled={missing === 6} onClick={forget}>
          Clear
        </button>
      </div>
    </section>
  );
}

interface SpreadProps {
  band: { low: number; high: number } | undefined;
  firstOrder: { change: number; firstOrder: number };
}

/** Where nine of ten lie; what was not said is in it. */
function Spread({ band, firstOrder: { change, firstOrder } }: SpreadProps) {
  const { low, high } = band ?? { low: change - firstOrder, high: change + firstOrder };
  return (
    <>
      nine in ten <Length mm={low} signed unit={false} /> to <Length mm={high} signed />, hub to frame
    </>
  );
}

/** The pack as solved: before dashed, after solid. */
function PackSketch({ old, built }: { old: Elevation; built: Elevation | null }) {
  const all = [old, ...(built ? [built] : [])];
  const points = all.flatMap((d) => d.leaves.flatMap((l) => l.points));
  const s = fit(
    {
      left: Math.min(...points.map((p) => p.x)) - 10,
      right: Math.max(...points.map((p) => p.x)) + 10,
      top: Math.max(...points.map((p) => p.y)) + 20,
      bottom: Math.min(...points.map((p) => p.y)) - 20,
    },
    180,
    { left: 0, right: 0, top: 0, bottom: 0 },
  );
  return (
    <svg
      className="quick-sketch"
      viewBox={`0 0 ${s.width} ${s.height.toFixed(1)}`}
      role="img"
      aria-label="The pack before and after, to scale"
    >
      <path
        d={old.leaves.map((leaf) => pathOf(leaf.points, s)).join('')}
        fill="none"
        stroke="var(--graphite)"
        strokeDasharray="4 3"
        strokeWidth="1"
      />
      {built ? (
        <path
          d={built.leaves.map((leaf) => pathOf(leaf.points, s)).join('')}
          fill="none"
          stroke="var(--new)"
          strokeWidth="1.4"
        />
      ) : null}
    </svg>
  );
}
