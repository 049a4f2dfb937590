'use client';
import { type JobView } from '@/contracts/job';
import { type ChangeKind } from '@/contracts/plan';
import { CHANGE_KINDS, linksOf } from '@/contracts/planKinds';
import { HELPERS } from '@/core/mechanics/helper/curve';
import { AXLE_CLASSES } from '@/core/sheet/axleClass';
import { BUSH_END_NAMES, BUSH_ENDS, BUSH_TYPE_IDS, BUSH_TYPES } from '@/core/bush/types';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';
import { Length } from '../measured/Figure';
import { TypedField } from '../measured/TypedField';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { SAME_LENGTH } from '@/core/mechanics/leafpack/pack';
import { type ReactNode } from 'react';
import { SURVEY_TEXT } from '@/contracts/surveyText';
import { type PointId } from '@/core/measure/points';
import { MakerSheetButton } from '../bench/MakerSheetButton';
import { COIL_END_NAMES } from '../controls/coilEnds';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { HelperFromShelf } from './HelperFromShelf';
import { CHANGES, isAged, type DraftLine } from './planDraft';
import { type PlanHandle } from './usePlan';

/** What a plan may hold more than once. */
const REPEATED: ReadonlySet<ChangeKind> = new Set(['addLeaf', 'removeLeaf']);

/** What may be planned at all on this axle, and why not. */
export function refusalOf(kind: ChangeKind, view: JobView, lines: readonly DraftLine[]): string | undefined {
  if (!REPEATED.has(kind) && lines.some((line) => line.kind === kind))
    return kind === 'block' ? 'blocks are never stacked' : 'already in the plan';
  if (kind === 'block' && view.axle.steered) return 'never on a steered axle';
  if (kind === 'shackle' && view.pack.rearEnd === 'pad') return 'there is none: the end slides under a pad';
  if ((kind === 'shackle' || kind === 'rocker') && lines.some((line) => line.kind === 'slipper'))
    return 'slippers take its place';
  if (kind === 'dropAxle' && view.readings.some((r) => r.point === 'upperArm' && r.value >= 20))
    return 'upper arms stand these wheels up, there is no beam';
  if (kind === 'overAxle' && view.axle.arrangement === 'over') return 'it lies over the axle already';
  return undefined;
}

const SHELL_WORDS = { out: 'comes out', kept: 'stays in the eye', none: 'there is none' };
const HELPER_CHIPS = { rubber: 'rubber', air: 'air', clampOn: 'clamped on the pack', leaf: 'a leaf above or below' };
const EYE_NAMES = { upturned: 'upturned', berlin: 'centred', downturned: 'downturned' };

const AgeChips = ({ line, onPick }: { line: DraftLine; onPick: (used: boolean) => void }) => (
  <Chips
    label="They are"
    shown
    options={[
      { id: 'new', name: 'new' },
      { id: 'used', name: 'used' },
    ]}
    value={line.used ? 'used' : 'new'}
    onPick={(id) => onPick(id === 'used')}
  />
);

/** A leaf that is a little longer than the main leaf is solved as long as it; a person must cut it, or read again. */
function LongerThanMain({ view, line }: { view: JobView; line: DraftLine }) {
  const read = (point: 'eyeToPinFront' | 'eyeToPinRear') =>
    view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? Infinity;
  const over = Math.max(
    (line.values.front?.value ?? 0) - read('eyeToPinFront'),
    (line.values.rear?.value ?? 0) - read('eyeToPinRear'),
  );
  // One that is truly longer is refused by the solver, in its own words.
  if (over <= 0 || over >= SAME_LENGTH) return null;
  return (
    <p>
      <Marked kind="look">
        It is <Length mm={over} /> longer than the main leaf: read both again, or cut it. It is reckoned as long as the
        main leaf.
      </Marked>
    </p>
  );
}

/** The page that a leaf nobody has on the shelf is made by; nothing while a figure of it is missing. */
function ForTheMaker({ view, line }: { view: JobView; line: DraftLine }) {
  const { front, rear, thickness, camber } = line.values;
  if (!front || !rear || !thickness || !camber) return null;
  const read = (point: PointId) => view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? null;
  const formed = view.pack.seatShape === 'formed' ? (read('formedFlat') ?? read('uboltSpacing')) : null;
  return (
    <MakerSheetButton
      of={`${view.vehicle.name}, ${view.axle.position} axle, leaf to be added on each side`}
      leaf={{
        ...{ front: front.value, rear: rear.value, thickness: thickness.value, camber: camber.value },
        ...{ width: read('leafWidth'), hole: null, eyes: 'none', ends: null, pieces: 2 },
        ...(formed !== null && { flat: formed }),
      }}
    />
  );
}

/** The plan of changes, line by line. */
export function PlanEditor({ view, plan, children }: { view: JobView; plan: PlanHandle; children?: ReactNode }) {
  const { lines, set } = plan;
  const replace = (key: string, next: Partial<DraftLine>) =>
    set(lines.map((line) => (line.key === key ? { ...line, ...next } : line)));
  const add = (kind: ChangeKind) => set([...lines, { key: crypto.randomUUID(), kind, values: {}, source: 'measured' }]);
  return (
    <Sheet
      title="What to change"
      aside={
        <span className={plan.saved ? 'muted' : 'look'}>
          {plan.saved
            ? `saved, version ${view.plan.version}`
            : plan.unfinished > 0
              ? 'unfinished, kept on this screen'
              : 'saving…'}
        </span>
      }
    >
      {lines.length === 0 ? (
        <p className="muted">Nothing planned yet. Add a change below; its effect shows at once.</p>
      ) : null}
      {lines.map((line) => {
        const { name, fields, inHand } = CHANGES[line.kind];
        return (
          <div key={line.key} className="change" role="group" aria-label={name}>
            <div className="change-head">
              <h3>
                {name}
                {line.item ? <span className="muted small"> {SURVEY_TEXT[line.item]}</span> : null}
                {line.part ? <span className="muted small"> {line.part.partName}</span> : null}
                {line.pack ? <span className="muted small"> {line.pack.partName ?? 'from the bench'}</span> : null}
              </h3>
              {inHand ? (
                <Chips
                  label={line.kind === 'addLeaf' ? 'Leaf’s figures come from' : 'Its figures come from'}
                  options={[
                    { id: 'measured', name: inHand },
                    { id: 'catalogue', name: 'catalogue' },
                  ]}
                  value={line.source}
                  onPick={(source) => replace(line.key, { source })}
                />
              ) : null}
              <button type="button" className="act quiet" onClick={() => set(lines.filter((l) => l.key !== line.key))}>
                Take out
              </button>
            </div>
            {CHANGES[line.kind].forms === 'eyes' ? (
              <Chips
                label="Eyes of the new main leaf"
                options={EYE_FORMS.map((form) => ({ id: form, name: EYE_NAMES[form] }))}
                value={line.form ?? null}
                onPick={(form) => replace(line.key, { form })}
              />
            ) : null}
            {CHANGES[line.kind].forms === 'thickEnd' ? (
              <Chips
                label="Its thick end lies to the"
                shown
                options={[
                  { id: 'front', name: 'front' },
                  { id: 'rear', name: 'rear' },
                ]}
                value={line.thick ?? null}
                onPick={(thick) => replace(line.key, { thick })}
              />
            ) : null}
            {CHANGES[line.kind].forms === 'bend' ? (
              <Chips
                label="Their bend lies round"
                shown
                options={[
                  { id: 'tube', name: 'the axle tube' },
                  { id: 'pack', name: 'the pack' },
                ]}
                value={line.bend ?? null}
                onPick={(bend) => replace(line.key, { bend })}
              />
            ) : null}
            {CHANGES[line.kind].forms === 'pivotBush' ? (
              <Chips
                label="The new ones are"
                shown
                options={[
                  { id: 'bonded', name: 'rubber, bonded' },
                  { id: 'turns', name: 'turning on a sleeve' },
                ]}
                value={line.bush ?? null}
                onPick={(bush) => replace(line.key, { bush })}
              />
            ) : null}
            {CHANGES[line.kind].forms === 'eyeBush' ? (
              <>
                <Chips
                  label="They go into"
                  shown
                  options={BUSH_ENDS.map((id) => ({ id, name: BUSH_END_NAMES[id] }))}
                  value={line.bushEnds ?? null}
                  onPick={(bushEnds) => replace(line.key, { bushEnds })}
                />
                <Chips
                  label="The new ones are"
                  shown
                  options={BUSH_TYPE_IDS.map((id) => ({ id, name: BUSH_TYPES[id].name }))}
                  value={line.eyeBush ?? null}
                  onPick={(eyeBush) => replace(line.key, { eyeBush })}
                />
                {line.eyeBush ? (
                  <p className="muted small">
                    Old shell {SHELL_WORDS[BUSH_TYPES[line.eyeBush].shell]}; grease: {BUSH_TYPES[line.eyeBush].grease}.
                    Tightened {BUSH_TYPES[line.eyeBush].tighten}.
                  </p>
                ) : null}
              </>
            ) : null}
            {CHANGES[line.kind].forms === 'helper' ? (
              <>
                <HelperFromShelf jobId={view.id} line={line} onPick={(filled) => replace(line.key, filled)} />
                <Chips
                  label="They are"
                  shown
                  options={HELPERS.map((device) => ({ id: device, name: HELPER_CHIPS[device] }))}
                  value={line.device ?? null}
                  onPick={(device) => replace(line.key, { device })}
                />
                <Chips
                  label="Before the work"
                  shown
                  options={[
                    { id: 'new', name: 'none there, these are new' },
                    { id: 'stays', name: 'there, they stay' },
                    { id: 'off', name: 'there, they come off' },
                  ]}
                  value={line.fitted ?? 'new'}
                  onPick={(is) => replace(line.key, { fitted: is === 'new' ? undefined : is })}
                />
              </>
            ) : null}
            {CHANGES[line.kind].forms === 'coilEnds' ? (
              <div className="facts-row">
                <Chips
                  label="Its ends are"
                  shown
                  options={COIL_ENDS.map((ends) => ({ id: ends, name: COIL_END_NAMES[ends] }))}
                  value={line.ends ?? null}
                  onPick={(ends) => replace(line.key, { ends })}
                />
                <AgeChips line={line} onPick={(used) => replace(line.key, { used })} />
              </div>
            ) : null}
            {isAged(line.kind) ? <AgeChips line={line} onPick={(used) => replace(line.key, { used })} /> : null}
            {line.kind === 'shackle' && view.axle.suspension === 'longitudinalLeaf' && view.pack.rearEnd === null ? (
              <p>
                <Marked kind="look">
                  Nobody said whether the spring’s eye hangs below the shackle’s pivot or stands above it; below is
                  taken. The other way round a longer shackle lowers the frame: say it in Measure, at the shackle.
                </Marked>
              </p>
            ) : null}
            {line.kind === 'addLeaf' ? <LongerThanMain view={view} line={line} /> : null}
            {line.pack ? (
              <p className="small">
                {line.pack.leaves.length} leaves, {line.pack.used ? 'used' : 'new'}
                {line.pack.leaves.some((leaf) => !leaf.camberKnown)
                  ? '; its free camber was not measured and is taken from its arch or nested'
                  : ''}
              </p>
            ) : null}
            <div className="grid-fields tight">
              {fields.map((field) => (
                <TypedField
                  key={field.id}
                  label={field.label}
                  rule={field.rule}
                  value={line.values[field.id] ?? null}
                  draft={`${view.id}|plan|${line.key}|${field.id}`}
                  hint={field.hint}
                  onChange={(typed) =>
                    replace(line.key, {
                      values: { ...line.values, [field.id]: typed },
                      ...(field.id === 'camber' && { camberKnown: undefined }),
                    })
                  }
                />
              ))}
            </div>
            {line.kind === 'addLeaf' && !line.part ? <ForTheMaker view={view} line={line} /> : null}
          </div>
        );
      })}
      <ProblemNote problem={plan.problem} />
      <div className="acts">
        {[...(CHANGE_KINDS[view.axle.suspension] as readonly ChangeKind[]), ...linksOf(view.axle.suspension)]
          .filter((kind) => kind !== 'pack' && (kind !== 'wrapBar' || AXLE_CLASSES[view.axle.axleClass].driven))
          .map((kind) => {
            const no = refusalOf(kind, view, lines);
            return (
              <button
                key={kind}
                type="button"
                className="act quiet"
                disabled={no !== undefined}
                onClick={() => add(kind)}
              >
                + {CHANGES[kind].name}
                {no ? <span className="small">&nbsp;({no})</span> : null}
              </button>
            );
          })}
        {plan.unfinished > 0 ? (
          <button type="button" className="act quiet" onClick={plan.drop}>
            Drop unfinished edit
          </button>
        ) : null}
      </div>
      {children}
    </Sheet>
  );
}
