'use client';
import { useState } from 'react';
import { type NeededEdit } from '@/contracts/needed';
import { pressingOf, sizedFasteners } from '@/contracts/preparation';
import { type NewFastenerSize, type ToolEdit, type ToolRow } from '@/contracts/tool';
import { JOINTS } from '@/core/fastener/joints';
import { type Operation } from '@/core/procedure/operation';
import { TOOL_KIND_IDS, TOOL_KINDS, type ToolKind } from '@/core/prepare/toolKinds';
import { TOOL_STATES, toolsFor, type ToolNeed } from '@/core/prepare/tools';
import { jointsOf } from '@/core/suspension/registry';
import { type FieldRule } from '@/core/units/parse';
import { lengthRule, massRule, TORQUE_RULE } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useWords } from '../measured/Quantity';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { type Lift } from '@/contracts/lifting';

const ACROSS = lengthRule(3, 120);

export type Needs = ToolNeed<ToolRow>[];

export function toolNeeds(job: JobHandle, order: readonly Operation[], lift: Lift, tools: readonly ToolRow[]): Needs {
  const torques = job.view.torques.flatMap((t) => (t.value === null || t.stage === 'notTouched' ? [] : [t.value]));
  return toolsFor(
    order,
    {
      fasteners: sizedFasteners(job.view),
      pressing: pressingOf(job.view),
      onHoist: job.view.bay?.onHoist ?? false,
      torques: torques.length > 0 ? { least: Math.min(...torques), most: Math.max(...torques) } : null,
      eachStand: lift.plan?.eachStand ?? null,
      lifts: lift.plan?.lifts ?? null,
      standTop: lift.plan?.least ?? null,
    },
    tools,
  );
}

/** What the steps are done with: what of it the shop has and where it lies, what only looks as if it fitted, what is to be got. */
export function ToolsSheet({
  job,
  needs,
  tools,
  save,
}: {
  job: JobHandle;
  needs: Needs;
  tools: readonly ToolRow[];
  save: (edit: ToolEdit) => Promise<void>;
}) {
  const { view } = job;
  const { problem, run } = useSend();
  const words = useWords();
  return (
    <div className="dock-columns">
      <section aria-label="What it takes">
        <h3>What it takes</h3>
        <ul className="stored tool-needs">
          {needs.map(({ need, what, kind, has, nearMiss, why }) => (
            <li key={need} data-tool={need}>
              {has ? (
                <Marked kind="done">{words(what)}</Marked>
              ) : nearMiss ? (
                <Marked kind="look">{words(what)}</Marked>
              ) : (
                <Marked kind="untouched">{words(what)}</Marked>
              )}{' '}
              <span className="muted small">{why}</span>
              <span className="tool-where">
                {has ? (
                  <>
                    {has.name}
                    {has.place ? <span className="muted">, {has.place}</span> : null}
                  </>
                ) : nearMiss ? (
                  <span className="look">
                    {nearMiss.name} has {words(nearMiss.why)}
                  </span>
                ) : (
                  <span className="muted">none known to the shop</span>
                )}
              </span>
              {has ? null : <GetIt job={job} need={need} kind={kind} what={what} />}
            </li>
          ))}
        </ul>
        <h3>What fits its fasteners</h3>
        <p className="muted small">Found out once, kept for this axle: 21 mm, or 13/16 in.</p>
        <div className="grid-fields">
          {jointsOf(view.axle.suspension, view.pack).map((joint) => {
            const known = view.fastenerSizes.find((f) => f.joint === joint);
            return (
              <TypedField
                key={joint}
                label={JOINTS[joint].name}
                spoken={`Across flats, ${JOINTS[joint].name}`}
                rule={ACROSS}
                value={known ? { typed: known.acrossTyped, value: known.across } : null}
                draft={`${view.id}|across|${joint}`}
                onChange={({ typed, value }) =>
                  void run(() =>
                    job.send('/fastener-sizes', 'POST', {
                      ...{ id: crypto.randomUUID(), joint, across: value, acrossTyped: typed, note: '' },
                    } satisfies NewFastenerSize),
                  )
                }
              />
            );
          })}
        </div>
        <ProblemNote problem={problem} />
      </section>
      <ShopTools tools={tools} save={save} />
    </div>
  );
}

const GET = ['borrow', 'hire', 'buy'] as const;

/** How a tool that the shop lacks is come by: it goes onto the list of parts, with its day, and counts once it is here. */
function GetIt({ job, need, kind, what }: { job: JobHandle; need: string; kind: ToolKind; what: string }) {
  const { problem, run } = useSend();
  const key = `tool:${kind}:${need.replaceAll(/[^A-Za-z0-9.-]/g, '-')}`.slice(0, 80);
  const line = job.view.needed.find((n) => n.need === key);
  const how = GET.find((id) => line?.what.startsWith(`${id}: `)) ?? null;
  return (
    <>
      <Chips
        label={`How to come by ${what}`}
        options={GET.map((id) => ({ id, name: id }))}
        value={how}
        onPick={(id) =>
          void run(() =>
            job.send('/needed', 'PUT', (now) => {
              const there = now.needed.find((n) => n.need === key);
              return {
                ...{ id: there?.id ?? crypto.randomUUID(), need: key, what: `${id}: ${what}`.slice(0, 200), wanted: 1 },
                ...{ state: there?.state ?? 'toOrder', source: there?.source ?? '', orders: there?.orders ?? '' },
                ...{ dueOn: there?.dueOn ?? null, shelfItemId: null, version: there?.version ?? 0 },
              } satisfies NeededEdit;
            }),
          )
        }
      />
      <ProblemNote problem={problem} />
    </>
  );
}

type Figures = Partial<Record<'across' | 'low' | 'high' | 'notch' | 'capacity', { label: string; rule: FieldRule }>>;
const FIGURES: Record<ToolKind, Figures> = {
  spanner: { across: { label: 'across flats', rule: ACROSS } },
  torqueWrench: {
    low: { label: 'from', rule: { ...TORQUE_RULE, range: false } },
    high: { label: 'to', rule: { ...TORQUE_RULE, range: false } },
  },
  jack: {
    capacity: { label: 'carries', rule: massRule(100, 60_000) },
    high: { label: 'reaches', rule: lengthRule(100, 3000) },
  },
  stand: {
    capacity: { label: 'carries, each', rule: massRule(100, 60_000) },
    low: { label: 'lowest', rule: lengthRule(100, 2000) },
    high: { label: 'highest', rule: lengthRule(100, 3000) },
    notch: { label: 'notch to notch', rule: lengthRule(1, 200) },
  },
  hoist: {
    capacity: { label: 'carries', rule: massRule(100, 60_000) },
    low: { label: 'pads, lowest', rule: lengthRule(50, 1500) },
    high: { label: 'pads, highest', rule: lengthRule(200, 3000) },
  },
  clamp: {},
  press: { capacity: { label: 'presses', rule: massRule(100, 60_000) } },
  compressor: {},
  other: {},
};
type Key = keyof Figures;

const typedOf = (tool: ToolEdit, key: Key): Typed | null => {
  const value = tool[key];
  const typed = tool[`${key}Typed`];
  return value === null || typed === null ? null : { value, typed };
};

const blank = (kind: ToolKind, name: string): ToolEdit => ({
  ...{ id: crypto.randomUUID(), kind, name, across: null, acrossTyped: null, low: null, lowTyped: null },
  ...{ high: null, highTyped: null, notch: null, notchTyped: null, capacity: null, capacityTyped: null },
  ...{ place: '', state: 'here' as const, gone: false, version: 0 },
});

/** The shop's own tools, one list for all jobs. */
function ShopTools({ tools, save }: { tools: readonly ToolRow[]; save: (edit: ToolEdit) => Promise<void> }) {
  const { busy, problem, run } = useSend();
  const [draft, setDraft, forget] = useKept<{ kind: ToolKind; name: string }>('shop-tool', {
    kind: 'spanner',
    name: '',
  });
  const put = (edit: ToolEdit) => run(() => save(edit));
  return (
    <section aria-label="The shop’s tools">
      <h3>The shop’s tools</h3>
      <ul className="stored">
        {tools.map(({ person, updatedAt, ...tool }) => (
          <li key={tool.id} data-shop-tool={tool.name}>
            <details className="part">
              <summary>
                {tool.name} <span className="muted">{tool.place}</span>{' '}
                {tool.state === 'here' ? null : <Marked kind="look">{tool.state}</Marked>}
              </summary>
              <Chips
                label={`${tool.name} is`}
                options={TOOL_STATES.map((id) => ({ id, name: id }))}
                value={tool.state}
                onPick={(state) => void put({ ...tool, state })}
              />
              <div className="grid-fields">
                {(Object.entries(FIGURES[tool.kind]) as [Key, { label: string; rule: FieldRule }][]).map(
                  ([key, { label, rule }]) => (
                    <TypedField
                      key={key}
                      label={label}
                      spoken={`${tool.name}, ${label}`}
                      rule={rule}
                      value={typedOf(tool, key)}
                      draft={`tool|${tool.id}|${key}`}
                      onChange={({ typed, value }) => void put({ ...tool, [key]: value, [`${key}Typed`]: typed })}
                      onClear={() => void put({ ...tool, [key]: null, [`${key}Typed`]: null })}
                    />
                  ),
                )}
                <Place tool={tool} onSave={(place) => void put({ ...tool, place })} />
              </div>
              <button type="button" className="link" onClick={() => void put({ ...tool, gone: true })}>
                the shop has it no more
              </button>
            </details>
          </li>
        ))}
      </ul>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const name = draft.name.trim();
          if (!name) return;
          void put(blank(draft.kind, name)).then((ok) => {
            if (ok) forget();
          });
        }}
      >
        <Chips
          label="Kind of tool"
          options={TOOL_KIND_IDS.map((id) => ({ id, name: TOOL_KINDS[id].name }))}
          value={draft.kind}
          onPick={(kind) => setDraft({ ...draft, kind })}
        />
        <TextField
          label="A tool the shop has"
          most={80}
          value={draft.name}
          onChange={(name) => setDraft({ ...draft, name })}
        />
        <div className="acts">
          <button type="submit" className="act quiet" disabled={busy || draft.name.trim() === ''}>
            Put it among the shop’s tools
          </button>
        </div>
      </form>
      <ProblemNote problem={problem} />
    </section>
  );
}

function Place({ tool, onSave }: { tool: ToolEdit; onSave: (place: string) => void }) {
  const [place, setPlace] = useState(tool.place);
  return (
    <div onBlur={() => place.trim() !== tool.place && onSave(place.trim())}>
      <TextField label="lies in" spoken={`Where ${tool.name} lies`} most={80} value={place} onChange={setPlace} />
    </div>
  );
}
