import { type Agreement } from './fit';
import { type SpringFit } from './springFit';

/** Name of the reading or load that an agreement is about. */
export const agreementName = ({ names }: SpringFit, { of, index }: Agreement): string =>
  (of === 'load' ? names.loads : names.readings)[index] ?? '';
