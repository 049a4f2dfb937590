'use client';
import { AXLE_CLASSES } from '@/core/sheet/axleClass';
import { DRIVELINE_POINT_IDS, DRIVELINE_POINTS } from '@/core/sheet/driveline';
import { TRAVEL_POINTS, type TravelPoint } from '@/core/sheet/travel';
import { STRIKES_PLATE, type FittedItem } from '@/core/travel/survey';
import { SIDES } from '@/core/vehicle/side';
import { Chips } from '../controls/Chips';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { ReadingField } from '../measured/ReadingField';

/** What is read together, and what an axle without it is not asked. */
const GROUPS: readonly { title: string; fitted?: FittedItem; points: readonly TravelPoint[] }[] = [
  { title: 'Bump stops', fitted: 'stops', points: ['stopGap', 'stopHeight', 'stopSolid', 'stopMarks'] },
  { title: 'Shocks', fitted: 'shocks', points: ['shockLength', 'shockShut', 'shockOpen', 'shockLean'] },
  { title: 'What meets next', points: ['axleToFrame', 'tyreToArch', 'tyreAtLock'] },
];
const FITTED_NAMES: Record<FittedItem, string> = { stops: 'Bump stops', shocks: 'Shocks' };

/** The readings that the list hangs on, both sides beside one another; an axle without stops or shocks says so once. */
export function ReadHere({ job }: { job: JobHandle }) {
  const { view } = job;
  const { problem, run } = useSend();
  const has = (item: FittedItem) => view.survey.find((s) => s.item === item)?.answer ?? null;
  const strikes = view.survey.find((s) => s.item === STRIKES_PLATE)?.answer ?? null;
  // Where nothing is clamped on the axle, it strikes the axle.
  const strikesPlate = view.axle.arrangement !== null;
  const say = (item: FittedItem | typeof STRIKES_PLATE, answer: 'ok' | 'none') =>
    void run(() =>
      job.send('/survey', 'POST', {
        ...{ id: crypto.randomUUID(), item, answer, slack: null, slackTyped: null, note: '' },
      }),
    );
  return (
    <div className="sheets">
      <ProblemNote problem={problem} />
      {GROUPS.map(({ title, fitted, points }) => {
        const none = fitted !== undefined && has(fitted) === 'none';
        return (
          <section key={title} className="group" aria-label={title}>
            <header>
              <h3>{title}</h3>
              {fitted ? (
                <Chips
                  label={`${FITTED_NAMES[fitted]} on this axle`}
                  options={[
                    { id: 'ok', name: 'fitted' },
                    { id: 'none', name: 'it has none' },
                  ]}
                  value={none ? 'none' : 'ok'}
                  onPick={(answer) => say(fitted, answer)}
                />
              ) : null}
            </header>
            {fitted === 'stops' && !none && strikesPlate ? (
              <Chips
                label="The stop strikes"
                shown
                options={[
                  { id: 'ok', name: 'the plate on the spring' },
                  { id: 'none', name: 'the axle' },
                ]}
                value={strikes === 'ok' || strikes === 'none' ? strikes : null}
                onPick={(answer) => say(STRIKES_PLATE, answer)}
              />
            ) : null}
            {none ? null : (
              <div className="read-here">
                {points
                  .filter((point) => point !== 'tyreAtLock' || view.axle.steered)
                  .flatMap((point) =>
                    SIDES.map((side) => (
                      <div key={`${point}${side}`}>
                        <ReadingField job={job} point={point} side={side} />
                        {side === 'left' ? <p className="muted small">{TRAVEL_POINTS[point].howTo}</p> : null}
                      </div>
                    )),
                  )}
              </div>
            )}
          </section>
        );
      })}
      {AXLE_CLASSES[view.axle.axleClass].driven ? (
        <section className="group" aria-label="Drive shaft">
          <header>
            <h3>Drive shaft</h3>
          </header>
          <div className="read-here">
            {DRIVELINE_POINT_IDS.map((point) => (
              <div key={point}>
                <ReadingField job={job} point={point} />
                <p className="muted small">{DRIVELINE_POINTS[point].howTo}</p>
              </div>
            ))}
          </div>
        </section>
      ) : null}
    </div>
  );
}
