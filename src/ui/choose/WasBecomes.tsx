import { type ReactNode } from 'react';
import { Sheet } from '../controls/Sheet';

interface Props<F> {
  title: string;
  stateName: string;
  rows: readonly { name: string; of: (figures: F) => ReactNode }[];
  old: F;
  /** null where nothing is planned: then it is told as it is. */
  built: F | null;
  testId: string;
  /** Said under the table. */
  children: ReactNode;
}

/** What a spring does, as it is and as planned, in one load state. */
export function WasBecomes<F>({ title, stateName, rows, old, built, testId, children }: Props<F>) {
  return (
    <Sheet title={title} aside={<span className="muted">{stateName}</span>}>
      <div className="scroll">
        <table className="plain" data-testid={testId}>
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col" className="number">
                {built ? 'was' : 'is'}
              </th>
              {built ? (
                <th scope="col" className="number">
                  becomes
                </th>
              ) : null}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.name}>
                <td>{row.name}</td>
                <td className={built ? 'number muted' : 'number'}>{row.of(old)}</td>
                {built ? <td className="number">{row.of(built)}</td> : null}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="muted small">{children}</p>
    </Sheet>
  );
}
