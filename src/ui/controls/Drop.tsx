'use client';
import { useEffect, useRef, useState, type ReactNode } from 'react';

/** What opens below the button that names it, until something else is touched or Escape is pressed. */
export function Drop({ says, children }: { says: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  const whole = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!open) return;
    const away = (event: Event) => {
      if (event instanceof KeyboardEvent ? event.key === 'Escape' : !whole.current?.contains(event.target as Node))
        setOpen(false);
    };
    document.addEventListener('pointerdown', away);
    document.addEventListener('keydown', away);
    return () => {
      document.removeEventListener('pointerdown', away);
      document.removeEventListener('keydown', away);
    };
  }, [open]);
  return (
    <div className="drop" ref={whole}>
      <button type="button" className="act quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        {says}
      </button>
      {open ? <div className="sheet dropped">{children}</div> : null}
    </div>
  );
}
