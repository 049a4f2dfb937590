import { type MixRule, type MixState, type MixVerdict } from '@/core/bench/verdicts';
import { Marked, type MarkKind } from '../controls/Mark';
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
const WORDS: Record<MixState, string> = {
  fits: 'fits',
  look: 'look',
  doesNotFit: 'does not fit',
  notChecked: 'not checked',
};
const MARKS: Record<MixState, MarkKind> = { fits: 'done', look: 'look', doesNotFit: 'look', notChecked: 'untouched' };

/** Whether the leaves go together, the worst first. */
export function VerdictList({ verdicts, onLeaf }: { verdicts: readonly MixVerdict[]; onLeaf: (leaf: number) => void }) {
  const words = useWords();
  return (
    <ul className="stored verdicts" aria-label="Do the leaves go together">
      {verdicts.map((v) => (
        <li key={v.rule} data-rule={v.rule} data-state={v.state} className={v.state === 'fits' ? 'muted small' : ''}>
          <strong>{NAMES[v.rule]}</strong>{' '}
          <Marked kind={MARKS[v.state]}>
            {v.state === 'doesNotFit' ? <strong>{WORDS[v.state]}</strong> : WORDS[v.state]}
          </Marked>
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
