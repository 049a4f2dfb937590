import { type Live } from '@/contracts/instrument';
import { decimalText } from '@/core/units/format';
import { fromCore } from '@/core/units/units';

export const STATE_WORDS: Record<Live['state'], string> = {
  settled: 'settled',
  settling: 'settling',
  silent: 'says nothing',
  garbled: 'cannot be understood',
  cutOff: 'cut off',
};

/** A live value as it would be typed: `541.2 kg`. */
export const valueText = ({ value, unit }: Live['values'][number]): string =>
  `${decimalText(fromCore(value, unit), 1).replace('−', '-')} ${unit}`;
