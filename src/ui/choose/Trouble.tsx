import { Marked } from '../controls/Mark';
import { faultText } from '../prediction/useWorker';

interface Props {
  refused: { reason: string } | null;
  fault: string | null;
}

/** Why nothing is foretold: readings that cannot be solved, or a fault of the program. */
export const Trouble = ({ refused, fault }: Props) => (
  <>
    {fault ? (
      <div className="note" role="alert">
        <p>
          <Marked kind="look">{faultText(fault)}</Marked>
        </p>
      </div>
    ) : null}
    {refused ? (
      <div className="note" role="alert">
        <p>
          <Marked kind="look">This cannot be solved: {refused.reason}.</Marked>
        </p>
      </div>
    ) : null}
  </>
);
