'use client';
import { isSkewed, type Reach } from '@/core/prediction/ledger';
import { decimalText, fractionSpoken, inchFraction } from '@/core/units/format';
import { useView } from '../theme/View';

interface Props {
  /** Core value in mm. */
  mm: number;
  /** Print a plus sign too. */
  signed?: boolean;
  unit?: boolean;
  /** Tenths of a millimetre too. */
  tenths?: boolean;
  className?: string;
}

/** A length as this screen shows lengths: whole mm, or inches with a small fraction and a spoken label. */
export function Length({ mm, signed = false, unit = true, tenths = false, className = '' }: Props) {
  const { lengths } = useView();
  const plus = signed && mm > 0 ? '+' : '';
  if (lengths === 'mm') {
    const rounded = tenths ? Math.round(10 * mm) / 10 : Math.round(mm);
    return (
      <span className={`figure ${className}`}>
        {rounded === 0 ? '' : plus}
        {decimalText(rounded, tenths && !Number.isInteger(rounded) ? 1 : 0)}
        {unit ? <span className="unit-text"> mm</span> : null}
      </span>
    );
  }
  const f = inchFraction(mm);
  const zero = f.whole === 0 && f.top === 0;
  return (
    <span className={`figure ${className}`}>
      <span className="hidden-word">{fractionSpoken(mm)}</span>
      <span aria-hidden="true">
        {f.negative ? '−' : zero ? '' : plus}
        {f.whole > 0 || zero ? f.whole : ''}
        {f.top > 0 ? (
          <span className={f.whole > 0 ? 'fraction' : 'fraction alone'}>
            {f.top}/{f.bottom}
          </span>
        ) : null}
        {unit ? <span className="unit-text"> in</span> : null}
      </span>
    </span>
  );
}

/** `± 5 mm`, never broken over a line. */
export function PlusMinus({ mm, unit = true }: { mm: number; unit?: boolean }) {
  return (
    <span className="plus-minus">
      ± <Length mm={mm} unit={unit} />
    </span>
  );
}

/** A band about a figure: `± 5`, or how far it reaches down and up where that is not alike. */
export function BandText({ reach }: { reach: Reach }) {
  if (!isSkewed(reach)) return <PlusMinus mm={Math.max(reach.below, reach.above)} unit={false} />;
  return (
    <span className="plus-minus">
      <Length mm={-reach.below} signed unit={false} /> / <Length mm={reach.above} signed unit={false} />
    </span>
  );
}

/** The step in which ledgers are rounded, mm. */
export const useLedgerStep = (): number => (useView().lengths === 'mm' ? 1 : 25.4 / 16);

/** The same figure as plain text, for drawings. */
export function useLengthText(): (mm: number) => string {
  const { lengths } = useView();
  return (mm) => {
    if (lengths === 'mm') return `${decimalText(Math.round(mm), 0)} mm`;
    const f = inchFraction(mm);
    return `${f.negative ? '−' : ''}${f.whole > 0 || f.top === 0 ? f.whole : ''}${f.top > 0 ? `${f.whole > 0 ? ' ' : ''}${f.top}/${f.bottom}` : ''} in`;
  };
}
