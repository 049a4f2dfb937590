'use client';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { stockPartOf } from '@/contracts/stock';
import { type ShelfItem } from '@/contracts/shelf';
import { sheetOf } from '@/contracts/sheet';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { goalValue } from '@/core/height/goals';
import { NO_LIMITS, type Suiting } from '@/core/selection/parts';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { lineOf } from '../choose/planDraft';
import { type PlanHandle } from '../choose/usePlan';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { Length, PlusMinus } from '../measured/Figure';
import { useKept } from '../measured/useKept';
import { CandidateFacts } from './CandidateFacts';
import { CandidateScatter } from './CandidateScatter';
import { CandidateTable } from './CandidateTable';
import { CompareTable } from './CompareTable';
import { LimitsBar, type LimitsDraft } from './LimitsBar';
import { planOf } from './toPlan';
import { type UboltFacts } from '@/core/selection/uboltNeed';
import { useOwnPlans } from '../suspension/longitudinalLeaf/ownPlans';
import { useSend } from '../job/useSend';
import { faultText } from '../prediction/useWorker';
import { useSearch } from './useSearch';

interface Props {
  job: JobHandle;
  plan: PlanHandle;
  /** The axle as it stands, without a plan. */
  input: LeafAxleInput;
  /** U-bolts as they were read. */
  ubolts: UboltFacts;
}

/** Candidates kept of a search, and looked at in all. */
const KEEP = 40;
const MOST = 5000;

/** Ways to get to the wanted height, ranked from what the shelf holds and what can be made. */
export function CandidatesSheet({ job, plan, input, ubolts }: Props) {
  const { view } = job;
  const [draft, setDraft] = useKept<LimitsDraft>(`${view.id}|limits`, {
    limits: { ...NO_LIMITS, noBlock: view.job.noBlocks, keepUbolts: view.job.keepUbolts, mostPrice: view.job.budget },
    texts: view.job.budget === null ? {} : { mostPrice: { value: view.job.budget, typed: String(view.job.budget) } },
  });
  const parts = useQuery({
    queryKey: ['job-parts', view.id],
    queryFn: () => call<ShelfItem[]>(`/api/jobs/${view.id}/parts`, 'GET'),
  });
  const stock = useMemo(() => parts.data?.map(stockPartOf) ?? [], [parts.data]);
  const search = useSearch();
  const [pickedId, setPicked] = useState<string | null>(null);
  const [beside, setBeside] = useState<string[]>([]);
  const [aim, setAim] = useState<'height' | 'level'>('height');
  const { problem, run } = useSend();
  const wantedState = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const axle = useMemo((): Suiting | null => {
    const main = input.pack?.leaves[0];
    if (!input.pack || !main) return null;
    return {
      width: input.pack.width.value,
      front: main.front.value,
      rear: main.rear.value,
      steered: view.axle.steered,
      arrangement: input.arrangement,
    };
  }, [input, view.axle]);
  const besidePlans = useOwnPlans(job, { input, stock, ubolts }, beside.length > 0 ? 1 : Infinity).plans;
  if (!axle || (!input.sides.left.spring && !input.sides.right.spring))
    return (
      <Sheet title="Ways to get there">
        <p>
          A search needs the pack, its arch and the load on it: measure them first. A block alone is answered without.
        </p>
      </Sheet>
    );
  // Level is told in the state of the day, in which the lips of both axles were measured.
  const level = view.goals.find((g) => g.kind === 'rake');
  const rake = goalValue('rake', sheetOf(view, []).readings, 'before', view.states[0]!.id, view.axle.position);
  const toLevel = level && rake !== undefined ? (level.target - rake) * (view.axle.position === 'rear' ? 1 : -1) : null;
  const wanted =
    aim === 'level' && toLevel !== null
      ? { stateId: view.states[0]!.id, change: toLevel }
      : { stateId: wantedState.id, change: view.job.wantedChange };
  const question = {
    input,
    parts: stock,
    ubolts,
    axle,
    wanted,
    limits: draft.limits,
    keep: KEEP,
    most: MOST,
  };
  const stale = search.result !== null && search.of !== JSON.stringify(question);
  const found = search.result?.found ?? [];
  const picked = found.find((r) => r.candidate.id === pickedId) ?? null;
  const sideBySide = found.filter((r) => beside.includes(r.candidate.id));
  // Helper springs that were there go with every plan: without them the pack would be told by a load it never carried.
  const there = view.plan.changes.filter((change) => change.kind === 'helper' && change.fitted !== undefined);
  const asPlan = picked ? [...there, ...planOf(picked.candidate, stock)] : [];
  const planned = picked !== null && JSON.stringify(asPlan) === JSON.stringify(view.plan.changes);
  // A candidate never takes the place of a plan in silence: it is a plan of its own, unless nothing was planned yet.
  const makePlan = (name: string) => {
    if (plan.lines.length === 0)
      plan.set(asPlan.map((change, k) => ({ ...lineOf(change, k), key: `${picked!.candidate.id}|${k}` })));
    else {
      const names = view.plans.map((p) => p.name.toLowerCase());
      const base = name.slice(0, 110);
      let own = base;
      for (let k = 2; names.includes(own.toLowerCase()); k++) own = `${base} (${k})`;
      void run(() => job.send('/plans', 'POST', { act: 'new', id: crypto.randomUUID(), name: own, changes: asPlan }));
    }
  };
  return (
    <Sheet
      title="Ways to get there"
      aside={
        <span className="muted">
          wanted <Length mm={wanted.change} signed /> <PlusMinus mm={view.job.tolerance} unit={false} /> in “
          {view.states.find((s) => s.id === wanted.stateId)?.name}”
        </span>
      }
    >
      {parts.error ? <ProblemNote problem={parts.error} /> : null}
      <div className="ways-top">
        <div className="acts">
          <button
            type="button"
            className="act"
            disabled={!parts.data || search.progress !== null}
            onClick={() => search.ask(question)}
          >
            {search.result ? 'Search again' : 'Search for ways'}
          </button>
          {search.progress !== null ? (
            <>
              <progress value={search.progress} max={1} aria-label="Search" />
              <button type="button" className="act quiet" onClick={search.stop}>
                Stop
              </button>
            </>
          ) : null}
          {search.result && search.progress === null ? (
            <span className="muted" data-testid="searched">
              {search.result.looked} looked at in {(search.ms / 1000).toFixed(1)} s
              {search.result.impossible > 0 ? `, ${search.result.impossible} cannot stand` : ''}
              {stale ? '; something has changed since' : ''}
            </span>
          ) : null}
        </div>
        {level ? (
          <Chips
            label="Aim at"
            shown
            options={[
              { id: 'height', name: 'the wanted height' },
              {
                id: 'level',
                name: toLevel === null ? 'the wanted rake (lips of both axles not measured)' : 'the wanted rake',
                disabled: toLevel === null,
              },
            ]}
            value={aim}
            onPick={setAim}
          />
        ) : null}
        <details className="part limits" open={search.result === null}>
          <summary>Limits</summary>
          <LimitsBar draft={draft} name={`${view.id}|limits`} onChange={setDraft} />
        </details>
      </div>
      {search.fault ? (
        <p role="alert">
          <Marked kind="look">{faultText(search.fault)}</Marked>
        </p>
      ) : null}
      {search.refused ? (
        <p role="alert">
          <Marked kind="look">The search cannot run: {search.refused}.</Marked>
        </p>
      ) : null}
      {search.result && found.length === 0 ? (
        <p>Nothing gets through these limits. Loosen one, or put more parts on the shelf.</p>
      ) : null}
      {found.length > 0 ? (
        <>
          <CandidateTable
            found={found}
            wantedState={wanted.stateId}
            emptyState={view.states[0]!.id}
            picked={pickedId}
            beside={beside}
            onPick={setPicked}
            onBeside={(id) => setBeside(beside.includes(id) ? beside.filter((b) => b !== id) : [...beside, id])}
          />
          <p className="muted small">
            Heights within 3 mm of the wish count as equally near; then fewer steps, then the lower price. The band of
            each stands with its figures. Prices are parts for both sides with the U-bolts they need, without labour and
            what has to be made.
          </p>
          {picked ? (
            <CandidateFacts
              view={view}
              input={input}
              ranked={picked}
              planned={planned}
              onPlan={() => makePlan(picked.candidate.name)}
              problem={problem}
            />
          ) : null}
          {sideBySide.length > 0 && sideBySide.length + besidePlans.length > 1 ? (
            <CompareTable
              found={[...besidePlans, ...sideBySide]}
              states={view.states}
              tolerance={view.job.tolerance}
              label="Side by side"
            />
          ) : null}
          <CandidateScatter
            found={found}
            wantedState={wanted.stateId}
            tolerance={view.job.tolerance}
            picked={pickedId}
            onPick={setPicked}
          />
          <p className="muted small">
            Filled: stress as a standing load may do. Open triangle: over-stressed. Diamond: the one looked at.
          </p>
        </>
      ) : null}
      <p className="muted small">
        Never offered: a block on a steered axle, blocks on blocks, a block without locators, a leaf that was heated,
        welded, torch-cut or drilled. Re-arching is for a specialist with a crack test.
      </p>
    </Sheet>
  );
}
