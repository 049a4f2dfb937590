import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type Assembled } from '@/contracts/sheet';
import { type Lack } from '@/core/suspension/registry';
import { Sheet } from '../controls/Sheet';
import { Waiting } from '../controls/Waiting';
import { missingText } from '../measure/missingText';

interface Props {
  view: JobView;
  missing: Assembled['missing'];
  lacks: readonly Lack[];
  solving: boolean;
}

/** What is still to be done before a height can be foretold. */
export function GapsSheet({ view, missing, lacks, solving }: Props) {
  return (
    <Sheet title="Height ledger">
      {lacks.length === 0 ? (
        solving ? (
          <p>
            <Waiting what="solving the spring" />
          </p>
        ) : (
          <p className="muted">No height can be foretold from this.</p>
        )
      ) : null}
      {lacks.includes('change') ? <p>Plan a change and its height appears here.</p> : null}
      {lacks.includes('spring') ? (
        <>
          <p>
            A block or spacer can be answered from the heights alone. This plan needs {missing.length} more readings:
          </p>
          <ul className="links">
            {missing.slice(0, 8).map((wanting) => {
              const { text, anchor } = missingText(view, wanting);
              return (
                <li key={anchor}>
                  <Link href={`/jobs/${view.id}/measure`} prefetch={false}>
                    {text}
                  </Link>
                </li>
              );
            })}
          </ul>
        </>
      ) : null}
    </Sheet>
  );
}
