'use client';
import { useState } from 'react';
import { type KitItem } from '@/contracts/kit';
import { kitSuits } from '@/core/vehicle/rating';
import { type FieldRule } from '@/core/units/parse';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';
import { ASK_RULES } from './askRules';

const COUNT: FieldRule = { dimension: 'count', unit: 'count', min: 1, max: 999 };
const STATES: { id: KitItem['state']; name: string }[] = [
  { id: 'expected', name: 'expected' },
  { id: 'there', name: 'there' },
  { id: 'missing', name: 'missing' },
  { id: 'notInKit', name: 'not in the kit' },
  { id: 'reused', name: 'reused' },
];

/** What the kit brings, ticked off before anything is taken apart, and what it does not bring. */
export function KitSheet({ job }: { job: JobHandle }) {
  const { kit } = job.view;
  const { busy, problem, run } = useSend();
  const [what, setWhat] = useState('');
  const [wanted, setWanted] = useState<Typed | null>(null);
  const short = kit.filter((k) => k.state === 'missing' || k.state === 'notInKit').length;
  const put = (item: Omit<KitItem, 'person'>) => job.send('/kit', 'POST', item);
  const add = () =>
    void run(async () => {
      await put({ id: crypto.randomUUID(), what, wanted: wanted?.value ?? 1, state: 'expected' });
      setWhat('');
      setWanted(null);
    });
  return (
    <Sheet
      title="Parts: what the kit brings, and what is to buy"
      aside={
        short > 0 ? <Marked kind="look">{short} to buy</Marked> : <span className="muted">tick it off on arrival</span>
      }
    >
      <KitWindow job={job} />
      <ul className="stored" data-testid="kit">
        {kit.map((item) => (
          <li key={item.id}>
            <span className="figure">{item.wanted}</span> {item.what}
            <Chips
              label={item.what}
              options={STATES}
              value={item.state}
              onPick={(state) => void run(() => put({ id: item.id, what: item.what, wanted: item.wanted, state }))}
            />
          </li>
        ))}
      </ul>
      <div className="pair">
        <TextField label="Part or consumable" most={120} value={what} onChange={setWhat} />
        <TypedField label="How many" rule={COUNT} value={wanted} draft={`${job.view.id}|kit`} onChange={setWanted} />
      </div>
      <button type="button" className="act quiet" disabled={busy || what.trim() === ''} onClick={add}>
        Add to the list
      </button>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}

/** A kit is made for axles of a range of ratings; outside it, it does not suit, however well it bolts on. */
function KitWindow({ job }: { job: JobHandle }) {
  const { view } = job;
  const draft = `${view.id}|kit-window`;
  const [range, setRange] = useKept<{ least: Typed | null; most: Typed | null }>(draft, { least: null, most: null });
  const { least, most } = range;
  const axle = view.axles.find((a) => a.id === view.axle.id)?.ratings.find((r) => r.part === 'axle')?.rating;
  const suits = least && most && axle !== undefined ? kitSuits(axle, least.value, most.value) : null;
  return (
    <>
      <div className="pair">
        <TypedField
          label="Made for axles from"
          rule={ASK_RULES.rating}
          value={least}
          draft={`${draft}|least`}
          onChange={(typed) => setRange({ least: typed, most })}
        />
        <TypedField
          label="to"
          spoken="Made for axles up to"
          rule={ASK_RULES.rating}
          value={most}
          draft={`${draft}|most`}
          onChange={(typed) => setRange({ least, most: typed })}
        />
      </div>
      {least && most ? (
        <p data-testid="kit-window">
          <Marked kind={suits === null ? 'untouched' : suits ? 'done' : 'look'}>
            {suits === null
              ? 'not checked: the rating of the axle is not looked up'
              : suits
                ? 'suits the rating of this axle'
                : 'does not suit the rating of this axle'}
          </Marked>
        </p>
      ) : null}
    </>
  );
}
