'use client';
import { useEffect, useState } from 'react';

/** Work of which the end is not known: it runs, for so many seconds already. */
export function Waiting({ what }: { what: string }) {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setSeconds((s) => s + 1), 1000);
    return () => clearInterval(timer);
  }, []);
  return (
    <span className="waiting" role="status">
      <progress aria-label={what} /> {what}
      {seconds > 0 ? <span className="figure">, {seconds} s</span> : null}
    </span>
  );
}
