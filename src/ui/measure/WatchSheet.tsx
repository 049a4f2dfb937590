'use client';
import { type JobView } from '@/contracts/job';
import { type PointId } from '@/core/measure/points';
import { type Flag, type Said } from '@/core/sheet/flag';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Length } from '../measured/Figure';
import { fieldKey, spokenField, type FieldAt } from './fields';
import { lowerFirst } from './missingText';
import { Quantity } from '../measured/Quantity';

/** What does not go together, and all that is watched. */
export interface Watched {
  flags: readonly Flag<PointId>[];
  rules: readonly string[];
}

interface Props {
  view: JobView;
  onPick: (at: FieldAt) => void;
}

/** Readings that do not go together, each with the fields to read again. */
export function WatchSheet({ view, watched, onPick }: Props & { watched: Watched }) {
  const { flags, rules } = watched;
  return (
    <Sheet
      id="watch"
      title="Do the readings go together"
      aside={
        flags.length === 0 ? (
          <Marked kind="done">nothing contradicts</Marked>
        ) : (
          <Marked kind="look">{flags.length === 1 ? 'one contradiction' : `${flags.length} contradictions`}</Marked>
        )
      }
    >
      {flags.length === 0 ? (
        <p className="muted">Watched: {rules.join(', ')}.</p>
      ) : (
        <ul className="stored" data-testid="flags">
          {flags.map((flag, i) => (
            <FlagLine key={i} view={view} flag={flag} onPick={onPick} />
          ))}
        </ul>
      )}
    </Sheet>
  );
}

function FlagLine({ view, flag, onPick }: Props & { flag: Flag<PointId> }) {
  return (
    <li data-flag={flag.rule}>
      <Marked kind="look">
        {flag.said.map((part, i) => (
          <SaidPart key={i} part={part} />
        ))}
      </Marked>
      <div className="again">
        read again:{' '}
        {flag.at.slice(0, 4).map((at) => (
          <button key={fieldKey(at)} type="button" className="link" onClick={() => onPick(at)}>
            {lowerFirst(spokenField(view, at))}
          </button>
        ))}
      </div>
    </li>
  );
}

function SaidPart({ part }: { part: Said }) {
  if (typeof part === 'string') return <>{part}</>;
  if ('mm' in part) return <Length mm={part.mm} />;
  return <Quantity value={part.kg} of="mass" />;
}
