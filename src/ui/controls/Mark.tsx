import { type ReactNode } from 'react';

export type MarkKind = 'done' | 'open' | 'untouched' | 'look';

/** The small sign beside a word of state; the word says the same, so it is silent. */
export function Mark({ kind }: { kind: MarkKind }) {
  return (
    <svg className="state-mark" viewBox="0 0 12 12" aria-hidden="true" focusable="false">
      {kind === 'look' ? (
        <path d="M6 1L11.5 11H0.5z" fill="currentColor" />
      ) : (
        <circle
          cx="6"
          cy="6"
          r="4.6"
          fill={kind === 'done' ? 'currentColor' : 'none'}
          stroke="currentColor"
          strokeWidth="1.6"
        />
      )}
      {kind === 'open' ? <path d="M6 1.4A4.6 4.6 0 0 1 6 10.6z" fill="currentColor" /> : null}
    </svg>
  );
}

const INK: Record<MarkKind, string> = { done: 'new', open: '', untouched: 'muted', look: 'look' };

/** Words of state behind their mark, in the ink of that state. */
export function Marked({ kind, children }: { kind: MarkKind; children: ReactNode }) {
  return (
    <span className={INK[kind]}>
      <Mark kind={kind} /> {children}
    </span>
  );
}
