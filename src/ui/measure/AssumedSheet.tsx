'use client';
import { type JobView } from '@/contracts/job';
import { labelOf } from '@/core/suspension/registry';
import { decimalText } from '@/core/units/format';
import { Sheet } from '../controls/Sheet';
import { PlusMinus } from '../measured/Figure';
import { type FieldAt } from './fields';
import { type Assumptions } from './assumptions';
import { fieldOfInput } from './narrowest';

interface Props {
  view: JobView;
  assumptions: Assumptions;
  onPick: (at: FieldAt) => void;
}

/** Shown from this effect on, mm. */
const WORTH = 0.05;

/** What was not read, worst first, and what reading it would take off the band. */
export function AssumedSheet({ view, assumptions, onPick }: Props) {
  const { ranked, by, half, trial } = assumptions;
  const rows = ranked.filter((a) => a.effect >= WORTH).slice(0, 8);
  return (
    <Sheet
      title="Not read, but reckoned with"
      aside={
        <span className="muted">
          {by === 'plan' ? 'what it does to the planned height' : `what it would do to ${trial}`}, band{' '}
          <PlusMinus mm={half} />
        </span>
      }
    >
      {rows.length === 0 ? (
        <p className="muted">Nothing assumed moves the height by more than a hair.</p>
      ) : (
        <div className="scroll">
          <table className="plain" data-testid="assumed">
            <thead>
              <tr>
                <th scope="col">assumed</th>
                <th scope="col" className="number">
                  moves it ± mm
                </th>
                <th scope="col" className="number">
                  reading it narrows by mm
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ path, point, effect, narrows }) => (
                <tr key={path} data-path={path}>
                  <td>
                    {point ? (
                      <button type="button" className="link" onClick={() => onPick(fieldOfInput(view, path, point))}>
                        {labelOf(view.axle.suspension, path)}
                      </button>
                    ) : (
                      <>
                        {labelOf(view.axle.suspension, path)} <span className="muted">no tape reaches it</span>
                      </>
                    )}
                  </td>
                  <td className="number figure">{decimalText(effect, 1)}</td>
                  <td className="number figure">{point ? decimalText(narrows, 1) : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Sheet>
  );
}
