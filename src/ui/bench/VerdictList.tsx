import { type MixRule, type MixVerdict } from '@/core/bench/verdicts';
import { VerdictWord } from '../controls/VerdictMark';
import { useWords } from '../measured/Quantity';

const NAMES: Record<MixRule, string> = {
  main: 'Main leaf',
  width: 'Width',
  order: 'Lengths',
  step: 'Steps',
  curve: 'Curves',
  eyes: 'Eyes',
  hole: 'Holes',
  clips: 'Clips',
  bottomClip: 'Bottom leaf',
  whole: 'Whole',
  age: 'Age',
  centreBolt: 'Centre bolt',
  uBolts: 'U-bolts',
};
/** Whether the leaves go together, the worst first. */
export function VerdictList({ verdicts, onLeaf }: { verdicts: readonly MixVerdict[]; onLeaf: (leaf: number) => void }) {
  const words = useWords();
  return (
    <ul className="stored verdicts" aria-label="Do the leaves go together">
      {verdicts.map((v) => (
        <li key={v.item} data-rule={v.item} data-state={v.state} className={v.state === 'fits' ? 'muted small' : ''}>
          <strong>{NAMES[v.item]}</strong> <VerdictWord state={v.state} />
          {v.state === 'fits' ? ': ' : <br />}
          {words(v.text)}
          {v.leaf !== undefined ? (
            <>
              {' '}
              <button type="button" className="link" onClick={() => onLeaf(v.leaf!)}>
                leaf {v.leaf + 1}
              </button>
            </>
          ) : null}
        </li>
      ))}
    </ul>
  );
}
