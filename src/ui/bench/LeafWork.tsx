'use client';
import { type BenchLeaf, type BenchPack, type BenchStep } from '@/core/bench/benchPack';
import { LEAF_RULES } from '@/core/parts/kinds';
import { lengthRule } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { TypedField, type Typed } from '../measured/TypedField';

interface Props {
  pack: BenchPack;
  leaf: BenchLeaf;
  onStep: (step: BenchStep, quiet?: boolean) => string | null;
}

const plain = (value: number | null): Typed | null =>
  value === null ? null : { value, typed: String(Number(value.toFixed(2))) };

/** What can be done to one leaf. Every figure typed here is a step that can be undone. */
export function LeafWork({ pack, leaf, onStep }: Props) {
  const at = pack.leaves.findIndex((l) => l.id === leaf.id);
  /** A typed figure that cannot be is told at its field, and what was typed stays there. */
  const typedStep = (step: BenchStep) => {
    const reason = onStep(step, true);
    if (reason) throw new Error(`${reason[0]!.toUpperCase()}${reason.slice(1)}.`);
  };
  const field = (name: string) => `bench|${leaf.id}|${name}`;
  const cut = (end: 'front' | 'rear') => ({
    value: plain(leaf[end]),
    draft: field(end),
    onChange: ({ value }: Typed) => typedStep({ kind: 'shorten', leaf: leaf.id, end, to: value }),
  });
  return (
    <section className="leaf-work" aria-label={`Leaf ${at + 1}`}>
      <h3>
        Leaf {at + 1}{' '}
        <span className="muted small">
          from {leaf.from}
          {leaf.used ? ', used' : ''}
          {leaf.toMake ? ', to be made' : ''}
        </span>
      </h3>
      <div className="acts">
        <button
          type="button"
          className="act quiet"
          disabled={at === 0}
          onClick={() => onStep({ kind: 'move', leaf: leaf.id, to: at - 1 })}
        >
          Up
        </button>
        <button
          type="button"
          className="act quiet"
          disabled={at === pack.leaves.length - 1}
          onClick={() => onStep({ kind: 'move', leaf: leaf.id, to: at + 1 })}
        >
          Down
        </button>
        <button type="button" className="act quiet" onClick={() => onStep({ kind: 'flip', leaf: leaf.id })}>
          Turn end for end
        </button>
        <button type="button" className="act quiet" onClick={() => onStep({ kind: 'remove', leaf: leaf.id })}>
          Take out
        </button>
      </div>
      <div className="leaf-fields">
        <TypedField
          label="Pin to front tip"
          spoken={`Pin to front tip, leaf ${at + 1}`}
          rule={lengthRule(40, 2500)}
          hint="only shorter"
          {...cut('front')}
        />
        <TypedField
          label="Pin to rear tip"
          spoken={`Pin to rear tip, leaf ${at + 1}`}
          rule={lengthRule(40, 2500)}
          hint="only shorter"
          {...cut('rear')}
        />
        <TypedField
          label="Thickness"
          spoken={`Thickness, leaf ${at + 1}`}
          rule={LEAF_RULES.thickness}
          value={plain(leaf.thickness)}
          draft={field('thickness')}
          onChange={({ value }) => typedStep({ kind: 'thickness', leaf: leaf.id, to: value })}
        />
        <TypedField
          label="Free camber"
          spoken={`Free camber, leaf ${at + 1}`}
          rule={LEAF_RULES.camber}
          value={plain(leaf.camber)}
          draft={field('camber')}
          hint="not known: taken as nested"
          onChange={({ value }) => typedStep({ kind: 'camber', leaf: leaf.id, to: value })}
        />
      </div>
      <div className="filter-chips">
        <Chips
          label={`Ends of leaf ${at + 1}`}
          options={[
            { id: 'square', name: 'square ends' },
            { id: 'trimmed', name: 'trimmed ends' },
          ]}
          value={leaf.ends}
          onPick={(to) => onStep({ kind: 'ends', leaf: leaf.id, to })}
        />
        <Chips
          label={`Clip on leaf ${at + 1}`}
          options={[
            { id: 'no', name: 'no clip' },
            { id: 'yes', name: 'clip' },
          ]}
          value={leaf.clip ? 'yes' : 'no'}
          onPick={(to) => onStep({ kind: 'clip', leaf: leaf.id, to: to === 'yes' })}
        />
        <Chips
          label={`Break of leaf ${at + 1}`}
          options={[
            { id: 'none', name: 'whole' },
            { id: 'front', name: 'broken in front' },
            { id: 'rear', name: 'broken behind' },
          ]}
          value={leaf.broken?.end ?? 'none'}
          onPick={(end) =>
            onStep({
              kind: 'break',
              leaf: leaf.id,
              broken: end === 'none' ? null : { end, at: Math.round(leaf[end] / 4) },
            })
          }
        />
        {leaf.broken ? (
          <TypedField
            label="Break, from the pin"
            rule={lengthRule(0, 2500)}
            value={plain(leaf.broken.at)}
            draft={field('break')}
            onChange={({ value }) =>
              typedStep({ kind: 'break', leaf: leaf.id, broken: { end: leaf.broken!.end, at: value } })
            }
          />
        ) : null}
      </div>
      <p className="muted small">
        A spring leaf is shortened cold with a cutting disc and its edges dressed. It is never heated, welded, torch-cut
        or drilled.
      </p>
    </section>
  );
}
