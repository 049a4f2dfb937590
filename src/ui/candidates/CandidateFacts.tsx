'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { SIDES } from '@/core/vehicle/side';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { knownOf } from '@/contracts/fit';
import { CHECK_NAMES } from '@/contracts/fitText';
import { factsOf } from '@/core/fit/work';
import { askedOf } from '@/core/suspension/registry';
import { mustFit } from '@/core/fit/mustFit';
import { allFit } from '@/core/verdict';
import { WAY_NOTES } from '@/core/selection/schools';
import { type Ranked } from '@/core/selection/search';
import { changesOf } from '@/core/selection/changesOf';
import { decimalText } from '@/core/units/format';
import { Marked } from '../controls/Mark';
import { VerdictWord } from '../controls/VerdictMark';
import { ProblemNote } from '../job/ProblemNote';
import { Length, PlusMinus } from '../measured/Figure';
import { useQuantityText, useWords } from '../measured/Quantity';
import { usePrediction } from '../prediction/usePrediction';

interface Props {
  view: JobView;
  input: LeafAxleInput;
  ranked: Ranked;
  onPlan: () => void;
  /** The plan already holds exactly this. */
  planned: boolean;
  problem: unknown;
}

/** One candidate in full: every load state with its band, and what else it touches. */
export function CandidateFacts({ view, input, ranked, onPlan, planned, problem }: Props) {
  const { candidate } = ranked;
  const text = useQuantityText();
  const words = useWords();
  const whole = useMemo((): LeafAxleInput | null => {
    return candidate.changes.length === 0 ? null : { ...input, changes: changesOf(input, candidate) };
  }, [input, candidate]);
  // The very draw that the plan's ledger shows, so that a candidate has the band it will have as the plan.
  const { prediction, bands } = usePrediction(whole);
  const half = (stateId: string): number | null => {
    const halves = SIDES.flatMap((side) => {
      const states = prediction?.sides[side]?.states ?? [];
      const k = states.findIndex((s) => s.id === stateId);
      return states[k] ? [bands?.[side]?.[k]?.half ?? states[k].firstOrder] : [];
    });
    return halves.length > 0 ? Math.max(...halves) : null;
  };
  const asked = changesOf(input, candidate);
  const rows = mustFit(
    {
      ...askedOf({ ...input, changes: asked }),
      ...(candidate.ways.some((way) => way === 'pack' || way === 'donorPack') && { packRating: candidate.rating }),
    },
    prediction && factsOf(prediction),
    knownOf(view, []),
  );
  const open = rows.filter((r) => r.state === 'not checked').length;
  const wrong = rows.filter((r) => r.state === 'does not fit').length;
  return (
    <section className="candidate" aria-label={candidate.name}>
      <h3>{candidate.name}</h3>
      <p>
        {allFit(rows) ? (
          <Marked kind="done">nothing open</Marked>
        ) : (
          <Marked kind="look">
            not OK:{' '}
            {[wrong > 0 ? `${wrong} does not fit` : '', open > 0 ? `${open} not checked` : '']
              .filter(Boolean)
              .join(', ')}
          </Marked>
        )}
      </p>
      <div className="scroll">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">load state</th>
              <th scope="col" className="number">
                higher by
              </th>
              <th scope="col" className="number">
                rate
              </th>
              <th scope="col" className="number">
                bounce, Hz
              </th>
              <th scope="col" className="number">
                small bump
              </th>
            </tr>
          </thead>
          <tbody>
            {ranked.states.map((s) => (
              <tr key={s.id}>
                <td>{view.states.find((state) => state.id === s.id)?.name}</td>
                <td className="number">
                  <Length mm={s.change} signed />{' '}
                  {half(s.id) !== null ? <PlusMinus mm={half(s.id)!} unit={false} /> : null}
                </td>
                <td className="number figure">{text(s.rate, 'rate')}</td>
                <td className="number figure">
                  {s.frequency === null ? '?' : decimalText(s.frequency, 2)}
                  <div className="muted small">
                    was {s.frequencyBefore === null ? '?' : decimalText(s.frequencyBefore, 2)}
                  </div>
                </td>
                <td className="number figure">
                  {text(s.smallBump, 'rate')}
                  <div className="muted small">was {text(s.smallBumpBefore, 'rate')}</div>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <ul className="stored verdicts" aria-label={`What ${candidate.name} touches`}>
        {rows.map((row) => (
          <li key={row.item} data-check={row.item} data-state={row.state}>
            <strong>{CHECK_NAMES[row.item]}</strong> <VerdictWord state={row.state} />
            {row.text ? `: ${words(row.text)}` : ''}
          </li>
        ))}
      </ul>
      <dl className="facts">
        {[...new Set(candidate.ways)].map((way) => (
          <div className="fact-row" key={way}>
            <dt>{WAY_NAMES[way]}</dt>
            <dd>
              for: {WAY_NOTES[way].for}; against: {WAY_NOTES[way].against}; lasts: {WAY_NOTES[way].lasts}
            </dd>
          </div>
        ))}
      </dl>
      <p className="muted small">What practitioners hold is common practice; how long a fix lasts is an indication.</p>
      <div className="acts">
        <button type="button" className="act" disabled={planned || candidate.changes.length === 0} onClick={onPlan}>
          {planned
            ? 'This is the plan'
            : view.plan.changes.length > 0
              ? 'Make it a plan of its own'
              : 'Make this the plan'}
        </button>
        {candidate.changes.length === 0 ? <span className="muted">changes no height; nothing to plan here</span> : null}
      </div>
      <ProblemNote problem={problem} />
    </section>
  );
}

export const WAY_NAMES: Record<keyof typeof WAY_NOTES, string> = {
  leafAdded: 'Leaf added',
  leafMade: 'Leaf made',
  leafOut: 'Leaf out',
  leafSwapped: 'Leaf swapped',
  block: 'Block',
  blockOut: 'Block out',
  shackle: 'Shackle',
  pack: 'New pack',
  donorPack: 'Donor pack',
  donorLeaf: 'Donor leaf',
  eyes: 'Other eyes',
  overAxle: 'Over the axle',
  rearch: 'Re-arched',
  bushes: 'Bushes',
};
