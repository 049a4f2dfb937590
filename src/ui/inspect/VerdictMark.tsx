import { type InspectionVerdict } from '@/core/inspection/rule';
import { Marked, type MarkKind } from '../controls/Mark';

const KIND: Record<Exclude<InspectionVerdict, 'stop'>, MarkKind> = {
  pass: 'done',
  watch: 'open',
  service: 'look',
  replace: 'look',
};

/** A verdict in its ink; red only with the word. */
export function VerdictMark({ verdict, prefix = '' }: { verdict: InspectionVerdict; prefix?: string }) {
  if (verdict === 'stop') return <span className="stop-word">{prefix}STOP</span>;
  return (
    <Marked kind={KIND[verdict]}>
      {prefix}
      {verdict}
    </Marked>
  );
}
