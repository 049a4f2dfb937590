'use client';
import { useId } from 'react';

interface Props {
  label: string;
  /** Said to screen readers when several fields share a visible label. */
  spoken?: string;
  value: string;
  most: number;
  /** More than one line. */
  rows?: number;
  /** A form is not sent without it. */
  required?: boolean;
  onChange: (text: string) => void;
}

/** Plain words. Measured values go into a `MeasuredInput`. */
export function TextField({ label, spoken, value, most, rows = 1, required = false, onChange }: Props) {
  const id = useId();
  const common = {
    id,
    className: 'words-field',
    value,
    maxLength: most,
    'aria-label': spoken ?? label,
    onChange: (event: { target: { value: string } }) => onChange(event.target.value),
  };
  return (
    <div className={rows > 1 ? 'field wide' : 'field'}>
      <label htmlFor={id}>
        {label}
        {required ? <span className="needed"> needed</span> : null}
      </label>
      {rows > 1 ? <textarea rows={rows} {...common} /> : <input type="text" autoComplete="off" {...common} />}
    </div>
  );
}
