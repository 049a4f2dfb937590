'use client';
import { type ToolRow } from '@/contracts/tool';
import { LIFTING_CAUTIONS } from '@/core/prepare/liftPlan';
import { LIFTING_POINT_IDS, LIFTING_POINTS } from '@/core/sheet/lifting';
import { formOf } from '@/core/vehicle/form';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useLengthText } from '../measured/Figure';
import { useQuantityText } from '../measured/Quantity';
import { ReadingField } from '../measured/ReadingField';
import { useBay } from './useBay';
import { type Lift } from '@/contracts/lifting';

/** Where the vehicle is held: two readings and a pair of stands; what they must reach and carry. */
export function StandsSheet({ job, lift, tools }: { job: JobHandle; lift: Lift; tools: readonly ToolRow[] }) {
  const { setBay, problem } = useBay(job);
  const text = useLengthText();
  const quantity = useQuantityText();
  const stands = tools.filter((t) => (t.kind === 'stand' || t.kind === 'hoist') && t.state === 'here');
  const { plan, stand, at } = lift;
  const form = formOf(job.view.vehicle.form);
  return (
    <div className="dock-columns">
      <section aria-label="Where it is held">
        <div className="grid-fields">
          {LIFTING_POINT_IDS.map((point) => (
            <div key={point}>
              <ReadingField job={job} point={point} />
              <p className="muted small">{LIFTING_POINTS[point].howTo}</p>
            </div>
          ))}
        </div>
        {stands.length > 0 ? (
          <Chips
            label="The frame stands on"
            shown
            options={stands.map((t) => ({ id: t.id, name: t.name }))}
            value={stand?.id ?? null}
            onPick={(standId) => setBay({ standId })}
          />
        ) : (
          <p className="muted">
            The shop’s stands come from its <a href="#tools">tools</a>: lowest, highest, from notch to notch, what each
            carries.
          </p>
        )}
        <p>
          <a className="link" href={`/api/jobs/${job.view.id}/print?what=lift`} download>
            lifting plan, PDF
          </a>
        </p>
        <ProblemNote problem={problem} />
      </section>
      <section aria-label="What they must reach and carry">
        {plan && at ? (
          <ul className="stored">
            <li>
              Top of the stands at least <strong className="figure">{text(plan.least)}</strong>, so that the tyre hangs{' '}
              <span className="figure">{text(at.clear)}</span> over the ground or more.
            </li>
            {stand && plan.set === null ? (
              <li>
                <span className="stop-word">STOP</span> {stand.name} do not reach it{' '}
                {stand.high === null ? '(how high they go is not written down)' : `: they end at ${text(stand.high)}`}.
                No timber on or under a stand: take higher ones.
              </li>
            ) : null}
            <li>
              Each stand carries <strong className="figure">{quantity(plan.eachStand, 'mass')}</strong>; the jack lifts{' '}
              <strong className="figure">{quantity(plan.lifts, 'mass')}</strong> there, by the moments about the other
              axle.
              {stand && stand.capacity !== null && stand.capacity < plan.eachStand ? (
                <>
                  {' '}
                  <span className="stop-word">STOP</span> {stand.name} carry {quantity(stand.capacity, 'mass')} each.
                </>
              ) : null}
              {stand && stand.capacity === null ? (
                <>
                  {' '}
                  <Marked kind="look">what {stand.name} carry is not written down</Marked>
                </>
              ) : null}
            </li>
            <li>
              {form.hitched ? 'The coupling' : 'The other axle'} carries{' '}
              <span className="figure">{quantity(plan.relieved, 'mass')}</span> less while it stands so
              {plan.relieved < 0 ? ' (more: the stand is beyond the axle)' : ''}. The weight ahead of the stands keeps
              it from tipping: nothing heavy is taken off or stood on that end.
            </li>
            {lift.drawn ? (
              <li>
                {lift.drawn.short > 0 ? (
                  <Marked kind="look">
                    The longest bolt cannot be drawn downwards: {text(lift.drawn.short)} too low. Lift higher, or draw
                    it before.
                  </Marked>
                ) : (
                  <>
                    The longest bolt can be drawn: <span className="figure">{text(lift.drawn.room)}</span> under its
                    head.
                  </>
                )}
              </li>
            ) : null}
          </ul>
        ) : (
          <p className="muted">
            {lift.refused ? `These figures cannot be: ${lift.refused}.` : `Wants: ${lift.wants.join('; ')}.`}
          </p>
        )}
        <ul className="muted small">
          {LIFTING_CAUTIONS.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </section>
    </div>
  );
}
