import { ruleOf, type RuleId } from '@/core/inspection/rules';
import { Mark } from '../controls/Mark';
import { type SpotState, type WalkSpot } from './walk';

interface Props {
  spots: readonly WalkSpot[];
  at: RuleId;
  onPick: (rule: RuleId) => void;
}

/** All spots by their numbers, left over right: touch one to go there. */
export function WalkStrip({ spots, at, onPick }: Props) {
  const both = spots.filter(({ found }) => found.length === 2);
  return (
    <div className="scroll">
      <table className="walk-strip" aria-label="Spots of the walk">
        <thead>
          <tr>
            <th scope="col">
              <span className="hidden-word">side</span>
            </th>
            {spots.map(({ rule, number }) => (
              <th key={rule} scope="col" aria-current={rule === at ? 'true' : undefined}>
                <button type="button" title={ruleOf(rule).what} onClick={() => onPick(rule)}>
                  {number}
                  <span className="hidden-word">: {ruleOf(rule).what}</span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(['left', 'right'] as const).map((side) => (
            <tr key={side}>
              <th scope="row">{side}</th>
              {spots.map(({ rule, found }) => {
                const here = found.find((f) => f.side === side) ?? found[0]!;
                // What is looked at once for the axle has one cell for both sides.
                if (found.length === 1 && side === 'right') return both.length === 0 ? <td key={rule} /> : null;
                return (
                  <td
                    key={rule}
                    rowSpan={found.length === 1 ? 2 : 1}
                    className={rule === at ? 'here' : ''}
                    data-state={here.state ?? 'open'}
                  >
                    <StateSign state={here.state} />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const WORDS: Record<NonNullable<SpotState>, string> = {
  pass: 'fine',
  watch: 'watch',
  service: 'service',
  replace: 'replace',
  stop: 'STOP',
};

/** A side of a spot in one sign; the word is said to screen readers, STOP to everybody. */
function StateSign({ state }: { state: SpotState }) {
  if (state === 'stop') return <span className="stop-word">STOP</span>;
  if (state === null)
    return (
      <span className="muted">
        <Mark kind="untouched" />
        <span className="hidden-word">not looked at</span>
      </span>
    );
  return (
    <span className={state === 'pass' ? 'muted' : 'look'}>
      {state === 'pass' ? (
        <svg className="state-mark tick" viewBox="0 0 12 12" aria-hidden="true">
          <path d="M1.5 6.5L5 10L10.5 2.5" fill="none" stroke="currentColor" strokeWidth="1.8" />
        </svg>
      ) : (
        <Mark kind="look" />
      )}
      <span className="hidden-word">{WORDS[state]}</span>
    </span>
  );
}
