import { type Batch } from './batch';

/** Whether nothing more comes of it by itself. */
export const isOver = ({ pieces, done, failed, cancelledAt }: Batch): boolean =>
  cancelledAt !== null || done + failed >= pieces;
