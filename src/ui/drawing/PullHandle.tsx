'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

interface Spot {
  x: number;
  y: number;
}

interface Props {
  /** Where it takes hold of the part, and where its round stands, px. */
  of: Spot;
  at: Spot;
  label: string;
  /** The figure as it is written. */
  text: string;
  /** Whether the plan holds it; else it is only offered, and quiet. */
  planned: boolean;
  value: number;
  least: number;
  most: number;
  /** Of one key press; ten with Shift. */
  step: number;
  /** Units for each pixel that it is pulled up, or to the right where it goes along. */
  perPixel: number;
  along?: boolean;
  /** Said instead of what is written, where a ruler beside it writes the figure. */
  spoken?: string;
  spokenText?: string;
  /** On its way: shown and solved, not kept. */
  onHold: (value: number) => void;
  onKeep: (value: number) => void;
  /** Let go of without keeping. */
  onLetGo: () => void;
}

const R = 15;
/** It is taken hold of on this many pixels each way. */
const TOUCH = 44;

/** A round on the drawing that is pulled up and down, or along, by a finger or the arrow keys. */
export function PullHandle(props: Props) {
  const { of, at, label, text, planned, value, least, most, step, perPixel, along = false } = props;
  const { onHold, onKeep, onLetGo } = props;
  const pulled = (event: PointerEvent) => (along ? event.clientX : -event.clientY);
  const from = useRef<{ pulled: number; value: number; now: number } | null>(null);
  const [held, setHeld] = useState(false);
  const keyed = useRef<number | null>(null);
  const snap = (v: number) => Math.min(most, Math.max(least, Math.round(v / step) * step));
  const down = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { pulled: pulled(event), value, now: value };
    setHeld(true);
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    if (!from.current) return;
    const next = snap(from.current.value + (pulled(event) - from.current.pulled) * perPixel);
    if (next === from.current.now) return;
    from.current.now = next;
    onHold(next);
  };
  const up = () => {
    if (!from.current) return;
    const { now, value: began } = from.current;
    from.current = null;
    setHeld(false);
    if (now !== began) onKeep(now);
  };
  const cancelled = () => {
    if (!from.current) return;
    from.current = null;
    setHeld(false);
    onLetGo();
  };
  const steps: Record<string, number> = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 10,
    PageDown: -10,
  };
  const key = (event: KeyboardEvent<SVGGElement>) => {
    if (event.key === 'Escape' && (from.current || keyed.current !== null)) {
      event.preventDefault();
      from.current = null;
      keyed.current = null;
      setHeld(false);
      onLetGo();
    }
    const by = steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    keyed.current = snap((keyed.current ?? value) + by * (event.shiftKey ? 10 : 1) * step);
    onHold(keyed.current);
  };
  // Kept when the key is let go, so that a held arrow is one step to undo.
  const keep = () => {
    if (keyed.current === null) return;
    const kept = keyed.current;
    keyed.current = null;
    onKeep(kept);
  };
  const ink = planned ? 'var(--new)' : 'var(--ink)';
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={props.spoken ?? label}
      aria-valuenow={Number(value.toFixed(4))}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuetext={props.spokenText ?? text}
      className={`pull-handle${held ? ' held' : ''}${along ? ' along' : ''}`}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={cancelled}
      onKeyDown={key}
      onKeyUp={keep}
      onBlur={keep}
    >
      <path
        d={`M${of.x.toFixed(1)} ${of.y.toFixed(1)}L${at.x.toFixed(1)} ${at.y.toFixed(1)}`}
        stroke={ink}
        strokeWidth="1.3"
      />
      <circle cx={of.x} cy={of.y} r="2.6" fill={ink} />
      <rect x={at.x - TOUCH / 2} y={at.y - TOUCH / 2} width={TOUCH} height={TOUCH} fill="transparent" stroke="none" />
      <circle cx={at.x} cy={at.y} r={R} fill={planned ? ink : 'var(--sheet)'} stroke={ink} strokeWidth="1.8" />
      <path
        d={`M${at.x - 5} ${at.y - 3}l5 -6l5 6M${at.x - 5} ${at.y + 3}l5 6l5 -6`}
        transform={along ? `rotate(90 ${at.x} ${at.y})` : undefined}
        fill="none"
        stroke={planned ? 'var(--sheet)' : ink}
        strokeWidth="1.8"
      />
      <text x={at.x + R + 7} y={at.y - 2} style={{ fill: ink }}>
        {label}
      </text>
      <text x={at.x + R + 7} y={at.y + 15} className="num" style={{ fill: ink }}>
        {text}
      </text>
    </g>
  );
}
