'use client';
import { useState } from 'react';
import { SHEETS, type SheetId } from '@/core/inspection/rule';
import { ruleOf, type RuleId } from '@/core/inspection/rules';
import { axleName } from '@/core/suspension/names';
import { rulesOf } from '@/core/suspension/registry';
import { type Side } from '@/core/vehicle/side';
import { Marked } from '../controls/Mark';
import { SideChips } from '../controls/SideChips';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench, type DockTab } from '../frame/Workbench';
import { useJob, type JobHandle } from '../job/useJob';
import { INSPECT } from '../suspension/inspectScreens';
import { FailureSheet } from './FailureSheet';
import { RuleRow } from './RuleRow';
import { SideFindings } from './SideFindings';
import { SpotCard } from './SpotCard';
import { walked, walkOf, type WalkSpot } from './walk';
import { WalkStrip } from './WalkStrip';

/** A walk over the drawing, spot by spot, both sides at once. */
export function InspectStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const kind = view.axle.suspension;
  const { Aside, Stage: WalkStage, walk } = INSPECT[kind];
  const spots = walkOf(view, walk);
  const openOf = (from: number) =>
    [...spots.slice(from), ...spots].find(({ found }) => found.some(({ state }) => state === null)) ?? spots[0]!;
  const [picked, setPicked] = useState<RuleId>(() => openOf(0).rule);
  const [side, setSide] = useState<Side>('left');
  const [tab, setTab] = useState('walk');
  const index = Math.max(
    0,
    spots.findIndex(({ rule }) => rule === picked),
  );
  const spot = spots[index]!;
  const next = spots[index + 1] ?? null;
  const tabs: DockTab[] = [
    {
      id: 'walk',
      name: 'walk',
      children: <WalkStrip spots={spots} at={spot.rule} onPick={setPicked} />,
    },
    { id: 'list', name: 'list', roomy: true, alone: true, children: <RuleList job={job} /> },
    {
      id: 'pack',
      name: kind === 'longitudinalLeaf' ? 'broken leaf' : 'where it gives out',
      roomy: true,
      children: <Aside job={job} />,
    },
    { id: 'seen', name: 'seen by the way', roomy: true, children: <SideFindings job={job} /> },
    { id: 'before', name: 'broke before', roomy: true, children: <FailureSheet job={job} /> },
  ];
  return (
    <JobFrame view={view} station="inspect" people={people} person={person} fixed>
      <Workbench className={tab === 'list' ? 'inspect listed' : 'inspect'}>
        <Stage
          title={`${upperFirst(axleName(view.axle.position, kind))}, ${side}, as it stands`}
          aside={<SideChips label="Side shown" value={side} onPick={setSide} />}
        >
          <WalkStage view={view} side={side} spots={spots} at={spot.rule} onPick={setPicked} />
        </Stage>
        <div className="verdict-column">
          <WalkVerdict spots={spots} />
          {tab === 'list' ? null : (
            <SpotCard
              key={spot.rule}
              job={job}
              spot={spot}
              next={next}
              onNext={() => setPicked(next ? next.rule : openOf(0).rule)}
              onBack={index > 0 ? () => setPicked(spots[index - 1]!.rule) : null}
            />
          )}
        </div>
        <Dock label="Spots and what was found" tabs={tabs} first="walk" below at={spot.rule} onOpen={setTab} />
      </Workbench>
    </JobFrame>
  );
}

const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** How far the walk is and what it found, read at arm's length. */
function WalkVerdict({ spots }: { spots: readonly WalkSpot[] }) {
  const { fine, looks, stops, open } = walked(spots);
  return (
    <section className="sheet verdict-sheet" aria-label="Verdict">
      {stops > 0 ? (
        <p className="walk-stop">
          <span className="stop-word">
            STOP: {stops === 1 ? 'one spot is' : `${stops} spots are`} not to be driven or towed with
          </span>
        </p>
      ) : null}
      <p className="walk-line">
        <strong className="figure">{spots.length - open}</strong>
        <span>
          of <span className="figure">{spots.length}</span> spots looked at
        </span>
      </p>
      <p className="walk-counts">
        <Marked kind="done">{fine} fine</Marked>
        {looks > 0 ? <Marked kind="look">{looks} to look at</Marked> : null}
        {open > 0 ? <Marked kind="untouched">{open} to go</Marked> : null}
      </p>
    </section>
  );
}

/** Every rule one under the other, with where it comes from. */
function RuleList({ job }: { job: JobHandle }) {
  const { axle, pack } = job.view;
  return (
    <>
      {(Object.entries(SHEETS) as [SheetId, string][]).flatMap(([id, name]) => {
        const rules = rulesOf(axle.suspension, pack).filter((rule) => ruleOf(rule).sheet === id);
        return rules.length === 0
          ? []
          : [
              <section key={id} className="place" aria-label={name}>
                <h2>{name}</h2>
                {rules.map((rule) => (
                  <RuleRow key={rule} job={job} id={rule} />
                ))}
              </section>,
            ];
      })}
      <p className="muted">
        Where road safety is touched the law, the maker and a licensed inspector decide; these rules only help to look.
      </p>
    </>
  );
}
