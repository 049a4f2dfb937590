'use client';
import { useId, useRef, type ReactNode } from 'react';
import { useReady } from '../frame/useReady';

interface Props {
  /** What the file is for; it stands on the button. */
  name: ReactNode;
  /** The same while it is being worked on. */
  working?: string;
  /** Endings and types the browser offers. */
  accept: string;
  busy?: boolean;
  /** One after the other, where several are picked at once. */
  several?: boolean;
  onPick: (file: File) => Promise<unknown> | void;
}

/** A button that asks for a file. The same file may be picked again. Before the page's program runs a pick would be lost, so it waits. */
export function FilePick({ name, working = 'Reading…', accept, busy = false, several = false, onPick }: Props) {
  const id = useId();
  const ready = useReady();
  const input = useRef<HTMLInputElement>(null);
  const take = async (files: readonly File[]) => {
    for (const file of files) await onPick(file);
    if (input.current) input.current.value = '';
  };
  return (
    <label className="act quiet photo-add" htmlFor={id} aria-busy={busy}>
      {busy ? working : name}
      <input
        ref={input}
        id={id}
        type="file"
        accept={accept}
        multiple={several}
        disabled={busy || !ready}
        className="hidden-word"
        onChange={(event) => void take([...(event.target.files ?? [])])}
      />
    </label>
  );
}
