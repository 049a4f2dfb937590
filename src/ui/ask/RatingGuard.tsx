'use client';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { ratingGuard, type RatedPart } from '@/core/vehicle/rating';
import { type VerdictState } from '@/core/verdict';
import { axleMassIn } from '@/core/sheet/reading';
import { Marked } from '../controls/Mark';
import { Quantity, useQuantityText } from '../measured/Quantity';

/** What a rating says, in the words of a weighbridge. */
const word = (state: VerdictState): string => (state === 'fits' ? 'within' : state === 'not checked' ? state : 'OVER');

/** Each load state against the weakest part of the axle. */
export function RatingGuard({ view, partNames }: { view: JobView; partNames: Record<RatedPart, string> }) {
  const text = useQuantityText();
  const sheet = sheetOf(view);
  const ratings = view.axles.find((a) => a.id === view.axle.id)?.ratings ?? [];
  return (
    <div data-testid="rating-guard">
      <ul className="stored">
        {sheet.states.map((state) => {
          const load = axleMassIn(sheet, state);
          if (load === null)
            return (
              <li key={state.id}>
                <Marked kind="untouched">{state.name}: not weighed yet, so not checked</Marked>
              </li>
            );
          const { lowest, missing, state: found, spare } = ratingGuard(Math.max(0, load), ratings);
          return (
            <li key={state.id}>
              <Marked kind={found === 'fits' ? 'done' : found === 'not checked' ? 'untouched' : 'look'}>
                {state.name}: <Quantity value={load} of="mass" /> {word(found)}
              </Marked>{' '}
              <span className="muted">
                {lowest && spare !== null
                  ? `${partNames[lowest.part].toLowerCase()} carries ${text(lowest.rating, 'mass')}, ${text(Math.abs(spare), 'mass')} ${spare < 0 ? 'too much' : 'to spare'}`
                  : ''}
                {missing.length > 0
                  ? `${lowest ? '; ' : ''}not looked up: ${missing.map((m) => partNames[m].toLowerCase()).join(', ')}`
                  : ''}
              </span>
            </li>
          );
        })}
      </ul>
      <p className="muted">
        Rate is not rating: a higher or stiffer spring does not raise what axle, tyre, wheel, hanger and maker’s plate
        may carry. The plate and your local rules decide.
      </p>
    </div>
  );
}
