import { Marked } from '../controls/Mark';
import { ApiProblem } from './ApiProblem';

/** A refusal or failure in words, where it happened. */
export function ProblemNote({ problem }: { problem: unknown }) {
  if (!problem) return null;
  const text = problem instanceof Error ? problem.message : String(problem);
  const reload = problem instanceof ApiProblem && ['core-version', 'conflict'].includes(problem.problem.code);
  return (
    <div className="note" role="alert">
      <p>
        <Marked kind="look">{text}</Marked>
      </p>
      {problem instanceof ApiProblem && problem.problem.request ? (
        <p className="muted small">In the server’s log: {problem.problem.request}</p>
      ) : null}
      {reload ? (
        <button type="button" className="act quiet" onClick={() => window.location.reload()}>
          Reload this page
        </button>
      ) : null}
    </div>
  );
}
