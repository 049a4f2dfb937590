import { Sheet } from '../../controls/Sheet';
import { type JobHandle } from '../../job/useJob';

/** Beside the inspection of two axles that stand as one: where they give out, and what holds each of them. */
export const TandemAside = ({ job }: { job: JobHandle }) => {
  const rocker = job.view.axle.suspension === 'tandemEqualizer';
  return (
    <Sheet title="Where two axles give out">
      <ul className="answers">
        <li>
          Each axle is held by its own hanger eye only: a broken main leaf, or a bolt gone there, lets it run back.
        </li>
        {rocker ? (
          <>
            <li>
              Rocker’s pivot and shackle bolts: plastic bushes wear through to the bolt, then the bolt into the plates.
            </li>
            <li>With the frame lifted the rocker may flip over. Look that both shackles hang before it is let down.</li>
          </>
        ) : (
          <li>Ends of the springs under their slippers: worn thin, or nearly out with the axle hanging.</li>
        )}
        <li>Tyres of one axle worn alone: its hangers are not square, or that axle carries more.</li>
      </ul>
      <p className="muted small">
        {rocker
          ? 'A rocker passes one axle’s load to the other: support both axles and the frame before any of its bolts comes out.'
          : 'Each spring holds its own load: support that axle and the frame before a bolt comes out.'}
      </p>
    </Sheet>
  );
};
