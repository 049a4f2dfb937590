import { type ReactNode } from 'react';

interface Props {
  /** What the button saves: `the goals`. */
  what: string;
  edited: boolean;
  /** Everything needed is there. */
  ready: boolean;
  busy: boolean;
  onSave: () => void;
  onDrop: () => void;
  children?: ReactNode;
}

/** Saving a part of Ask as a whole, or dropping the edit. */
export function SaveActs({ what, edited, ready, busy, onSave, onDrop, children }: Props) {
  return (
    <div className="acts">
      <button type="button" className="act" disabled={!edited || !ready || busy} onClick={onSave}>
        Save {what}
      </button>
      {edited ? (
        <button type="button" className="act quiet" onClick={onDrop}>
          Drop my edit
        </button>
      ) : null}
      {children}
    </div>
  );
}
