'use client';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { ratingGuard, type RatedPart, type RatingVerdict } from '@/core/height/rating';
import { axleMassIn } from '@/core/measure/sheet';
import { Marked } from '../controls/Mark';
import { Quantity, useQuantityText } from '../measured/Quantity';

const WORD: Record<RatingVerdict, string> = { within: 'within', over: 'OVER', 'not checked': 'not checked' };

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
          const { lowest, missing, verdict, spare } = ratingGuard(Math.max(0, load), ratings);
          return (
            <li key={state.id}>
              <Marked kind={verdict === 'within' ? 'done' : verdict === 'over' ? 'look' : 'untouched'}>
                {state.name}: <Quantity value={load} of="mass" /> {WORD[verdict]}
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
