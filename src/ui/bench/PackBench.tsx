'use client';
import { useMemo, useState } from 'react';
import { packDepth, packMass, type BenchPack } from '@/core/bench/benchPack';
import { packDifferences } from '@/core/bench/compare';
import { mixVerdicts } from '@/core/bench/verdicts';
import { GRAVITY } from '@/core/material/steel';
import { decimalText } from '@/core/units/format';
import { fromCore } from '@/core/units/units';
import { type BenchAnswer, type BenchSaid } from '@/workers/bench.worker';
import { ArchOverLoad } from '../chart/ArchOverLoad';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Slider } from '../controls/Slider';
import { type Extent } from '../drawing/scale';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { Length, useLengthText } from '../measured/Figure';
import { PackUnderLoad } from '../spring/PackUnderLoad';
import { useView } from '../theme/View';
import { DifferenceTable } from './DifferenceTable';
import { LeafRows } from './LeafRows';
import { LeavesApart } from './LeavesApart';
import { LeafWork } from './LeafWork';
import { SaveFromBench } from './SaveFromBench';
import { faultText } from '../prediction/useWorker';
import { useBench, useBenchFigures } from './useBench';
import { VerdictList } from './VerdictList';
import { Quantity, useWords } from '../measured/Quantity';

interface Props {
  /** Under which what lies here is kept over a reload. */
  name: string;
  /** The pack as it was brought. */
  was: BenchPack;
  donor: BenchPack | null;
}

/** Load the slider ends at when nothing says what the pack carries, N. */
const USUAL_MOST = 16_000;
/** Otherwise it ends at this multiple of its rating. */
const OVER_RATING = 1.5;

const good = (said: BenchSaid | null | undefined): BenchAnswer | null => (said && !('refused' in said) ? said : null);

function extentOf(...answers: (BenchAnswer | null)[]): Extent {
  const extent: Extent = { left: -10, right: 100, top: 20, bottom: -60 };
  for (const answer of answers)
    for (const leaf of answer?.view.leaves ?? [])
      for (let k = 0; k < leaf.line.length; k += 2) {
        extent.left = Math.min(extent.left, leaf.line[k]!);
        extent.right = Math.max(extent.right, leaf.line[k]!);
        extent.top = Math.max(extent.top, leaf.line[k + 1]!);
        extent.bottom = Math.min(extent.bottom, leaf.line[k + 1]!);
      }
  return extent;
}

/** A pack leaf by leaf under one's hands, another beside it, and what the solver says of it at once. */
export function PackBench({ name, was, donor }: Props) {
  const { bench, refused, step, undo, redo, startOver } = useBench(name, was);
  const pack = bench.now;
  const [pickedId, setPicked] = useState<string | null>(null);
  const [load, setLoad] = useState(0);
  const [as, setAs] = useState<'apart' | 'assembled' | 'load'>('load');
  const { lengths } = useView();
  const lengthText = useLengthText();
  const words = useWords();
  const most = was.rating ? Math.round(was.rating * GRAVITY * OVER_RATING) : USUAL_MOST;
  const packs = useMemo(() => ({ was, now: pack, donor }), [was, pack, donor]);
  const { reply, fault } = useBenchFigures(packs, load, most);
  const now = good(reply?.said.now);
  const old = good(reply?.said.was);
  const other = good(reply?.said.donor);
  const trouble = reply?.said.now && 'refused' in reply.said.now ? reply.said.now.refused : null;
  const verdicts = useMemo(() => mixVerdicts(pack, was, now?.figures ?? null), [pack, was, now]);
  const changed = bench.past.length > 0;
  // Until something was changed the other pack stands beside this one; then the pack as it was brought does.
  const beside = donor && !changed ? { pack: donor, said: other } : { pack, said: now };
  const compared = packDifferences(was, beside.pack, {
    one: old?.figures ?? null,
    other: beside.said?.figures ?? null,
  });
  const picked = pack.leaves.find((leaf) => leaf.id === pickedId) ?? null;
  const loadText = (newton: number) =>
    lengths === 'mm'
      ? `${decimalText(fromCore(newton, 'kN'), 1)} kN`
      : `${decimalText(fromCore(newton, 'lbf'), 0)} lbf`;
  const mass = packMass(pack);
  const shown = now?.view ?? null;
  const worst = shown ? shown.budget.reduce((w, b, i) => (b.ofBump > shown.budget[w]!.ofBump ? i : w), 0) : 0;
  const added = shown ? pack.leaves.findIndex((leaf) => !was.leaves.some((l) => l.id === leaf.id)) : -1;
  const drawn = {
    old: changed ? (old?.view ?? null) : null,
    built: shown,
    addedLeaf: added >= 0 ? added : null,
    extent: extentOf(now, old),
    spoken: shown
      ? `${pack.name} under ${loadText(load)}: arch ${lengthText(shown.arch)}, leaf ${worst + 1} is stressed most.`
      : '',
  };
  const leavesOnPin = (
    <>
      <Sheet
        title="Leaves on the pin"
        aside={
          <div className="acts tight">
            <button type="button" className="act quiet" disabled={bench.past.length === 0} onClick={undo}>
              Undo{bench.past.length > 0 ? ` (${bench.past.length})` : ''}
            </button>
            <button type="button" className="act quiet" disabled={bench.future.length === 0} onClick={redo}>
              Redo
            </button>
            <button type="button" className="act quiet" disabled={!changed} onClick={startOver}>
              Start over
            </button>
          </div>
        }
      >
        <LeafRows pack={pack} was={was} donor={donor} picked={pickedId} onPick={setPicked} onStep={step} />
        {fault ? (
          <p role="alert">
            <Marked kind="look">{faultText(fault)}</Marked>
          </p>
        ) : null}
        {refused ? (
          <p role="alert">
            <Marked kind="look">That cannot be done: {refused}.</Marked>
          </p>
        ) : null}
        {picked ? (
          <LeafWork key={picked.id} pack={pack} leaf={picked} onStep={step} />
        ) : (
          <p className="muted small">
            Carry a leaf by its grip, or with the keys: space, arrows, space. “Work” turns, cuts, changes or takes out a
            leaf.
          </p>
        )}
      </Sheet>
      <p className="note small">
        A pack is a loaded spring: clamp it before its centre bolt comes out, let the clamps go evenly, and keep hands
        and face off the line of the leaves.
      </p>
    </>
  );
  return (
    <Workbench className="packs">
      <Stage
        title="The pack"
        aside={
          <Chips
            label="The pack is shown"
            options={[
              { id: 'apart', name: 'apart' },
              { id: 'assembled', name: 'assembled' },
              { id: 'load', name: 'under load' },
            ]}
            value={as}
            onPick={(next) => {
              setAs(next);
              if (next !== 'load') setLoad(0);
            }}
          />
        }
        foot={
          as === 'load' ? (
            <Slider
              id="bench-load"
              label="Load on the seat"
              text={loadText(load)}
              least={0}
              most={most}
              step={Math.max(1, Math.round(most / 200))}
              value={load}
              onChange={setLoad}
            >
              <div className="load-ends">
                <span>0, lying free</span>
                <span>
                  {loadText(most)}
                  {was.rating ? ', one and a half times its rating' : ''}
                </span>
              </div>
            </Slider>
          ) : null
        }
      >
        {trouble ? (
          <p role="alert">
            <Marked kind="look">It cannot be solved as it lies: {trouble}.</Marked>
          </p>
        ) : null}
        {as === 'apart' ? (
          <LeavesApart pack={pack} isNew={(leaf) => !was.leaves.some((l) => l.id === leaf.id)} />
        ) : shown ? (
          <PackUnderLoad {...drawn} only="leaves" />
        ) : null}
      </Stage>
      <div className="verdict-column">
        <section className="sheet verdict-sheet" aria-label="What it makes">
          {now ? (
            <div data-testid="bench-facts">
              <span className="muted">Arch, lying free</span>
              <div className="verdict-line">
                <p className="verdict-great">
                  <strong>
                    <Length mm={now.figures.freeArch} />
                  </strong>
                </p>
                <p className="verdict-wish">
                  {changed && old ? (
                    <span className="muted">
                      was <Length mm={old.figures.freeArch} />
                    </span>
                  ) : null}
                </p>
              </div>
              <dl className="facts">
                {load > 0 ? (
                  <>
                    <dt>Arch under {loadText(load)}</dt>
                    <dd>
                      <Length mm={now.view.arch} />
                    </dd>
                  </>
                ) : null}
                <dt>Rate here</dt>
                <dd>
                  <Quantity value={now.figures.rate} of="rate" digits={1} />{' '}
                  {changed && old ? <span className="muted">was {decimalText(old.figures.rate, 1)}</span> : null}
                </dd>
                <dt>Thickness</dt>
                <dd>
                  <Length mm={packDepth(pack)} />{' '}
                  {changed ? (
                    <span className="muted">
                      was <Length mm={packDepth(was)} />
                    </span>
                  ) : null}
                </dd>
                <dt>Mass</dt>
                <dd>
                  {mass === null ? (
                    <span className="muted">a width is missing</span>
                  ) : (
                    <Quantity value={mass} of="mass" digits={1} />
                  )}
                </dd>
                <dt>Stressed most</dt>
                <dd>
                  leaf {worst + 1},{' '}
                  <span className="figure">{Math.abs(now.view.budget[worst]?.peak ?? 0).toFixed(0)} MPa</span>
                  {(now.view.budget[worst]?.ofBump ?? 0) > 1 ? (
                    <>
                      {' '}
                      <Marked kind="look">past what a leaf bears at full bump</Marked>
                    </>
                  ) : null}
                </dd>
                <dt>Stands open, lying free</dt>
                <dd>
                  {now.figures.gaps.length === 0
                    ? 'nowhere'
                    : now.figures.gaps
                        .map((g) => words(`above leaf ${g.leaf + 1}: ${decimalText(g.gap, 1)} mm`))
                        .join('; ')}
                </dd>
              </dl>
            </div>
          ) : (
            <p className="muted">{trouble ? 'Nothing until it can be solved.' : 'Solving…'}</p>
          )}
          {now && now.figures.assumed.length > 0 ? (
            <p className="assumed small">
              Assumed:{' '}
              {now.figures.assumed
                .map(
                  (a) =>
                    ({
                      width: 'a width',
                      camber: 'nested leaves where no camber is known',
                      eyes: 'centred eyes or their size',
                    })[a],
                )
                .join(', ')}
              .
            </p>
          ) : null}
        </section>
        <Sheet title="Do they go together">
          <VerdictList verdicts={verdicts} onLeaf={(k) => setPicked(pack.leaves[k]?.id ?? null)} />
        </Sheet>
      </div>
      <Dock
        label="More of the bench"
        below
        first="leaves"
        tabs={[
          { id: 'leaves', name: 'leaves on the pin', children: leavesOnPin },
          {
            id: 'arch',
            name: 'arch over load',
            children:
              now && old ? (
                <Sheet title="Arch over load">
                  <ArchOverLoad was={old.figures.curve} now={now.figures.curve} />
                </Sheet>
              ) : (
                <p className="muted">{trouble ? 'Nothing until it can be solved.' : 'Solving…'}</p>
              ),
          },
          {
            id: 'stress',
            name: 'stress',
            children: (
              <Sheet title={`Stress along each leaf under ${loadText(load)}`}>
                <PackUnderLoad {...drawn} only="stress" />
              </Sheet>
            ),
          },
          {
            id: 'differences',
            name: donor && !changed ? 'side by side' : 'was and is',
            children: (
              <Sheet title={donor && !changed ? 'Side by side' : 'As it was, as it lies'}>
                <DifferenceTable rows={compared} one={was.name} other={donor && !changed ? donor.name : 'as it lies'} />
              </Sheet>
            ),
          },
          {
            id: 'keep',
            name: 'keep it',
            children: <SaveFromBench pack={pack} picked={picked} verdicts={verdicts} />,
          },
        ]}
      />
    </Workbench>
  );
}
