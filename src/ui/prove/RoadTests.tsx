'use client';
import { Input, Select } from 'antd';
import { type RoadTest } from '@/contracts/prove';
import { Marked } from '../controls/Mark';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { useKept } from '../measured/useKept';

const MARKS = ['noise', 'ride', 'shake'] as const;
type Mark = (typeof MARKS)[number];
const NAMES: Record<Mark, string> = { noise: 'quiet', ride: 'rides well', shake: 'steady' };
const TEN = Array.from({ length: 11 }, (_, value) => ({ value, label: String(value) }));

interface Draft {
  route: string;
  stateId: string;
  note: string;
  noise: number | null;
  ride: number | null;
  shake: number | null;
}

/** How it drove before and drives now: the same road, the same load, marks out of ten. */
export function RoadTests({ job }: { job: JobHandle }) {
  const { roadTests, states } = job.view;
  const of = (phase: RoadTest['phase']) => roadTests.find((r) => r.phase === phase);
  const [before, after] = [of('before'), of('after')];
  const alike =
    before &&
    after &&
    before.route.trim().toLowerCase() === after.route.trim().toLowerCase() &&
    before.stateId === after.stateId;
  return (
    <section aria-label="Road test" className="road-tests">
      <h3>How it drives</h3>
      {before && after && !alike ? (
        <p>
          <Marked kind="look">Not the same road and load: the marks are not held against one another.</Marked>
        </p>
      ) : null}
      <div className="scroll" tabIndex={0} role="region" aria-label="Marks">
        <table>
          <thead>
            <tr>
              <td />
              {MARKS.map((m) => (
                <th key={m} scope="col">
                  {NAMES[m]}
                </th>
              ))}
              <th scope="col">road and load</th>
            </tr>
          </thead>
          <tbody>
            {(['before', 'after'] as const).map((phase) => {
              const test = of(phase);
              return (
                <tr key={phase}>
                  <th scope="row">{phase}</th>
                  {MARKS.map((m) => (
                    <td key={m} className="figure">
                      {test?.[m] ?? '–'}
                      {alike && phase === 'after' && before[m] !== null && after[m] !== null
                        ? ` (${after[m] - before[m] < 0 ? '−' : '+'}${Math.abs(after[m] - before[m])})`
                        : ''}
                    </td>
                  ))}
                  <td>
                    {test ? (
                      <>
                        {test.route}, {states.find((s) => s.id === test.stateId)?.name}
                        {test.note ? `; ${test.note}` : ''}{' '}
                        <span className="muted">
                          {test.person}, <Clock at={test.drivenAt} what="day" />
                        </span>
                      </>
                    ) : (
                      <span className="muted">not driven</span>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Drive job={job} phase={job.view.build ? 'after' : 'before'} route={before?.route ?? ''} />
    </section>
  );
}

function Drive({ job, phase, route }: { job: JobHandle; phase: RoadTest['phase']; route: string }) {
  const { states, id } = job.view;
  const { busy, problem, run } = useSend();
  const wanted = states.find((s) => s.wanted) ?? states[0];
  const [draft, setDraft, forget] = useKept<Draft>(`${id}|drive|${phase}`, {
    ...{ route, stateId: wanted?.id ?? '', note: '' },
    ...{ noise: null, ride: null, shake: null },
  });
  const send = () =>
    void run(async () => {
      await job.send('/road-tests', 'POST', { id: crypto.randomUUID(), phase, ...draft });
      forget();
    });
  return (
    <div className="grid-fields drive" role="group" aria-label={`Drive ${phase} the work`}>
      <TextField
        label={`Road driven ${phase} the work`}
        most={120}
        value={draft.route}
        onChange={(r) => setDraft({ ...draft, route: r })}
      />
      <div className="field">
        <label htmlFor="drive-load">In which load</label>
        <Select
          id="drive-load"
          value={draft.stateId}
          options={states.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(stateId) => setDraft({ ...draft, stateId })}
        />
      </div>
      {MARKS.map((m) => (
        <div key={m} className="field narrow">
          <label htmlFor={`drive-${m}`}>{NAMES[m]}, of ten</label>
          <Select
            id={`drive-${m}`}
            allowClear
            value={draft[m]}
            options={TEN}
            onChange={(mark: number | undefined) => setDraft({ ...draft, [m]: mark ?? null })}
          />
        </div>
      ))}
      <div className="field wide">
        <label htmlFor="drive-note">What was heard and felt</label>
        <Input
          id="drive-note"
          value={draft.note}
          maxLength={300}
          onChange={(event) => setDraft({ ...draft, note: event.target.value })}
        />
      </div>
      <button
        type="button"
        className="act quiet"
        disabled={
          busy || draft.route.trim() === '' || (MARKS.every((m) => draft[m] === null) && draft.note.trim() === '')
        }
        onClick={send}
      >
        Keep this drive
      </button>
      <ProblemNote problem={problem} />
    </div>
  );
}
