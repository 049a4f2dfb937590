import { type VerdictState } from '@/core/verdict';
import { Marked } from './Mark';

/** A verdict in one manner everywhere: a mark and the word; red only with STOP. */
export function VerdictWord({ state }: { state: VerdictState }) {
  if (state === 'does not fit') return <span className="stop-word">STOP does not fit</span>;
  if (state === 'stop') return <span className="stop-word">STOP</span>;
  return <Marked kind={state === 'fits' ? 'done' : state === 'look' ? 'look' : 'untouched'}>{state}</Marked>;
}
