import { findTerms, type Term } from '@/core/handbook/terms';
import { SCHOOLS } from '@/core/selection/schools';
import { SHEETS, type InspectionRule, type SheetId } from '@/core/inspection/rule';
import { RULES } from '@/core/inspection/rules';
import { Sheet } from '../controls/Sheet';
import { KEYS } from '../frame/Keys';
import { STATIONS } from '@/contracts/stationNames';
import { useLengthText } from '../measured/Figure';
import { PictureDrawing } from './PictureDrawing';

const TermCard = ({ term }: { term: Term }) => (
  <li className="term">
    <PictureDrawing picture={term.draw} tall={110} tight />
    <div>
      <h3>{term.name}</h3>
      <p>{term.does}</p>
      <p className="muted small">also called {term.also.join(', ')}</p>
    </div>
  </li>
);

/** Parts by the one word this house uses, with the others. @param search empty shows all */
export function TermTable({ search }: { search: string }) {
  const found = findTerms(search);
  return (
    <Sheet title="Words of the trade" aside={<span className="muted">common practice</span>}>
      <ul className="terms">
        {(found.length > 0 ? found : findTerms('')).map((term) => (
          <TermCard key={term.name} term={term} />
        ))}
      </ul>
    </Sheet>
  );
}

/** Limits of the inspection, each with where it is from. */
export function LimitTable() {
  const text = useLengthText();
  const rules = Object.entries(RULES) as [string, InspectionRule][];
  const said = (rule: InspectionRule, when: Record<string, number>): string =>
    Object.entries(when)
      .map(([id, value]) => {
        const measure = rule.measures.find((m) => m.id === id);
        const length = rule.derived?.id === id || measure?.rule.dimension === 'length';
        const name = rule.derived?.id === id ? rule.derived.what : (measure?.label ?? id);
        return `${name} ${length ? text(value) : value}`;
      })
      .join(', ');
  return (
    <Sheet
      title="What an inspection looks at"
      aside={<span className="muted">a law is paraphrased from memory; the law itself decides</span>}
    >
      {(Object.entries(SHEETS) as [SheetId, string][]).map(([sheet, name]) => (
        <section key={sheet}>
          <h3>{name}</h3>
          <div className="scroll">
            <table className="plain">
              <tbody>
                {rules
                  .filter(([, rule]) => rule.sheet === sheet)
                  .map(([id, rule]) => (
                    <tr key={id}>
                      <td>
                        <strong>{rule.what}</strong>
                        <br />
                        <span className="muted">{rule.how}</span>
                      </td>
                      <td>
                        {rule.choices
                          .filter((c) => c.verdict !== 'pass')
                          .map((c) => (
                            <div key={c.id}>
                              {c.verdict === 'stop' ? <span className="stop-word">STOP</span> : c.verdict}: {c.text}
                            </div>
                          ))}
                        {rule.limits.map((limit) => (
                          <div key={limit.verdict}>
                            {limit.verdict} from: {said(rule, limit.when)}
                            {limit.start ? <span className="muted"> (chosen to start from)</span> : null}
                          </div>
                        ))}
                      </td>
                      <td className="muted">{rule.source.kind === 'law' ? rule.source.cite : 'common practice'}</td>
                    </tr>
                  ))}
              </tbody>
            </table>
          </div>
        </section>
      ))}
    </Sheet>
  );
}

/** Where the trade differs: both sides with their reasons. */
export function SchoolTable() {
  return (
    <Sheet title="Where the trade differs" aside={<span className="muted">common practice, no source</span>}>
      <div className="scroll">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">question</th>
              <th scope="col">one school</th>
              <th scope="col">the other</th>
            </tr>
          </thead>
          <tbody>
            {SCHOOLS.map(({ id, question, one, other }) => (
              <tr key={id}>
                <td>{question}</td>
                {[one, other].map((side) => (
                  <td key={side.name}>
                    <strong>{side.name}</strong>
                    <br />
                    <span className="muted">{side.reason}</span>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Sheet>
  );
}

/** Keys of every screen. */
export function KeyTable() {
  return (
    <Sheet title="Keys">
      <dl className="keys">
        {[
          ...KEYS,
          ...STATIONS.map(({ number, name }) => [String(number), `${name}, of the job on the screen`] as const),
        ].map(([key, does]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
