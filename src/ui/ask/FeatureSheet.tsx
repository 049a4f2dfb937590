'use client';
import { useState } from 'react';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';

const NOTHING = { feature: '', found: '', means: '' };

/** Features that tell which parts fit: seen once, kept with the vehicle. */
export function FeatureSheet({ job }: { job: JobHandle }) {
  const { busy, problem, run } = useSend();
  const [given, setGiven] = useState(NOTHING);
  const set = (part: Partial<typeof NOTHING>) => setGiven({ ...given, ...part });
  const complete = Object.values(given).every((text) => text.trim() !== '');
  const add = () =>
    void run(async () => {
      await job.send('/features', 'POST', { id: crypto.randomUUID(), ...given });
      setGiven(NOTHING);
    });
  return (
    <Sheet
      title="Which branch is it"
      aside={<span className="muted">counted, not guessed; kept with the vehicle</span>}
    >
      <ul className="stored" data-testid="features">
        {job.view.features.map((f) => (
          <li key={f.id}>
            {f.feature}: <strong>{f.found}</strong>, so {f.means} <span className="muted">{f.person}</span>
          </li>
        ))}
      </ul>
      <div className="grid-fields tight">
        <TextField label="Feature" most={120} value={given.feature} onChange={(feature) => set({ feature })} />
        <TextField label="Found" most={120} value={given.found} onChange={(found) => set({ found })} />
        <TextField label="So, for parts" most={200} value={given.means} onChange={(means) => set({ means })} />
      </div>
      <button type="button" className="act quiet" disabled={busy || !complete} onClick={add}>
        Keep it with the vehicle
      </button>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
