'use client';
import { type ReactNode } from 'react';

interface Props {
  id: string;
  label: ReactNode;
  /** The value in words, shown behind the label and said to screen readers. */
  text: string;
  least: number;
  most: number;
  step: number;
  value: number;
  onChange: (value: number) => void;
  /** Behind the value in the label. */
  aside?: ReactNode;
  /** Below the slider: what its ends mean. */
  children?: ReactNode;
}

/** A figure that is dragged. */
export function Slider({ id, label, text, least, most, step, value, onChange, aside, children }: Props) {
  return (
    <div className="load-slider spring-live">
      <label htmlFor={id}>
        {label}{' '}
        <output htmlFor={id} className="figure">
          {text}
        </output>
        {aside}
      </label>
      <input
        id={id}
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={text}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      {children}
    </div>
  );
}
