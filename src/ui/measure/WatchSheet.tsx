'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { consistency, FLAG_RULES, type Flag, type Said } from '@/core/suspension/longitudinalLeaf/consistency';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Length } from '../measured/Figure';
import { fieldKey, spokenField, type FieldAt } from './fields';
import { lowerFirst } from './missingText';
import { Quantity } from '../measured/Quantity';

interface Props {
  view: JobView;
  onPick: (at: FieldAt) => void;
}

/** Readings that do not go together, each with the fields to read again. */
export function WatchSheet({ view, onPick }: Props) {
  const flags = useMemo(() => consistency(sheetOf(view)), [view]);
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
        <p className="muted">Watched: {Object.values(FLAG_RULES).join(', ')}.</p>
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

function FlagLine({ view, flag, onPick }: Props & { flag: Flag }) {
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
