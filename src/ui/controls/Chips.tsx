'use client';
import { Mark, type MarkKind } from './Mark';

interface Props<T extends string> {
  /** Said to screen readers; shown before the chips when `shown`. */
  label: string;
  shown?: boolean;
  options: readonly { id: T; name: string; mark?: MarkKind; disabled?: boolean }[];
  value: T | null;
  onPick: (id: T) => void;
}

/** One choice out of a few, all in sight. */
export function Chips<T extends string>({ label, shown = false, options, value, onPick }: Props<T>) {
  return (
    <div className="choice">
      {shown ? <span className="choice-label">{label}</span> : null}
      <div className="chips" role="group" aria-label={label}>
        {options.map((option) => (
          <button
            key={option.id}
            type="button"
            aria-pressed={option.id === value}
            disabled={option.disabled ?? false}
            onClick={() => onPick(option.id)}
          >
            {option.mark ? <Mark kind={option.mark} /> : null} {option.name}
          </button>
        ))}
      </div>
    </div>
  );
}
