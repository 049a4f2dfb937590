'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Broken, type ShopRecord } from '@/contracts/record';
import { scoreOf, scores, type Score } from '@/contracts/scores';
import { type Person } from '@/contracts/person';
import { failureRate } from '@/core/followup/failureRate';
import { failureHistory } from '@/core/inspection/failures';
import { sparesFor } from '@/core/inspection/spares';
import { SUSPENSIONS } from '@/core/suspension/names';
import { distanceRule } from '@/core/units/rules';
import { Marked } from '../controls/Mark';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { Dock, Workbench } from '../frame/Workbench';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { TypedField, type Typed } from '../measured/TypedField';
import { dayText } from '../prepare/dayText';
import { LearntList } from './LearntList';
import { CHANGE_WORDS } from './words';

interface Props {
  record: ShopRecord;
  people: readonly Person[];
  person: string;
}

/** Over all jobs: what is open, how near the foretold heights came, what breaks. */
export function RecordScreen({ record, people, person }: Props) {
  const { defects, broken, today } = record;
  const late = defects.filter((d) => d.dueOn < today).length;
  return (
    <PageFrame
      fixed
      title="Record"
      note="what is open, and what the tape taught"
      people={people}
      person={person}
      tape={<StationTape current="record" />}
    >
      <Workbench className="record">
        <Verdict record={record} late={late} />
        <Dock
          label="Record"
          first="open"
          tabs={[
            {
              id: 'open',
              name: 'open defects',
              mark: defects.length > 0 ? { kind: 'look', word: String(defects.length) } : undefined,
              children: <Defects record={record} />,
            },
            { id: 'scores', name: 'foretold and tape', children: <Scores record={record} /> },
            {
              id: 'expects',
              name: 'how springs settle',
              children: <LearntList first={record.learnt} sinking={record.sinking} />,
            },
            {
              id: 'broken',
              name: 'what breaks',
              children: <BrokenList broken={broken} />,
            },
          ]}
        />
      </Workbench>
    </PageFrame>
  );
}

function Verdict({ record: { defects, proven }, late }: { record: ShopRecord; late: number }) {
  const all = proven.length > 0 ? scoreOf('all', proven) : null;
  return (
    <section className="sheet verdict-sheet record-verdict" aria-label="Verdict">
      <p className={late > 0 ? 'look' : ''}>
        <strong className="figure">{defects.length}</strong>
        <span>
          open {defects.length === 1 ? 'defect' : 'defects'}
          {late > 0 ? <Marked kind="look">{late} past their day</Marked> : null}
        </span>
      </p>
      {all ? (
        <>
          <p>
            <strong>
              <Length mm={all.off} tenths />
            </strong>
            <span>
              off on average
              <span className="muted">
                {all.heights} {all.heights === 1 ? 'height' : 'heights'} by the tape
              </span>
            </span>
          </p>
          <p>
            <strong className="figure">{Math.round(10 * all.inside)}</strong>
            <span>
              of ten inside their band
              <span className="muted">nine are foretold</span>
            </span>
          </p>
        </>
      ) : (
        <p>
          <span className="muted">No height was read after a work yet.</span>
        </p>
      )}
    </section>
  );
}

function Defects({ record: { defects, today } }: { record: ShopRecord }) {
  if (defects.length === 0)
    return (
      <p>
        <Marked kind="done">Nothing is open on any vehicle.</Marked>
      </p>
    );
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Open defects">
      <table className="record-table">
        <thead>
          <tr>
            <th scope="col">by</th>
            <th scope="col">vehicle</th>
            <th scope="col">what is open</th>
            <th scope="col">until then</th>
            <th scope="col">why, and who went on</th>
          </tr>
        </thead>
        <tbody>
          {defects.map((d) => (
            <tr key={d.id} className={d.dueOn < today ? 'look' : ''}>
              <td className="figure">
                {d.dueOn < today ? <Marked kind="look">{dayText(d.dueOn)}</Marked> : dayText(d.dueOn)}
              </td>
              <td>
                <Link href={`/jobs/${d.jobId}/follow#defects`} prefetch={false}>
                  {d.vehicle}
                </Link>
              </td>
              <td>{d.what}</td>
              <td>{d.limits === '' ? <span className="muted">no limit</span> : <strong>{d.limits}</strong>}</td>
              <td className="muted">
                {d.reason}, {d.person}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Scores({ record: { proven, scoresOpen } }: { record: ShopRecord }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  if (proven.length === 0) return <p className="muted">It fills with the first height that is read after a work.</p>;
  const own = proven.filter((p) => p.own);
  const groups: { name: string; rows: Score[] }[] = [
    {
      name: 'all and yours',
      rows: [scoreOf('the shop', proven), ...(own.length > 0 ? [scoreOf('foretold by you', own)] : [])],
    },
    ...(scoresOpen
      ? [{ name: 'by who foretold it', rows: scores(proven, (p) => (p.person === null ? [] : [p.person])) }]
      : []),
    { name: 'by what carries the axle', rows: scores(proven, (p) => [SUSPENSIONS[p.suspension]]) },
    { name: 'by what was changed', rows: scores(proven, (p) => p.kinds.map((k) => CHANGE_WORDS[k] ?? k)) },
  ];
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Foretold and tape">
      <table className="record-table">
        <thead>
          <tr>
            <td />
            <th scope="col">heights</th>
            <th scope="col">off by</th>
            <th scope="col">leans</th>
            <th scope="col">inside the band</th>
            <th scope="col">rule of thumb off by</th>
            <th scope="col">guesses off by</th>
          </tr>
        </thead>
        {groups.map(({ name, rows }) => (
          <tbody key={name}>
            <tr>
              <th scope="rowgroup" colSpan={7} className="muted">
                {name}
              </th>
            </tr>
            {rows.map((s) => (
              <tr key={s.name}>
                <th scope="row">{s.name}</th>
                <td className="figure">{s.heights}</td>
                <td>
                  <Length mm={s.off} tenths />
                </td>
                <td>
                  <Length mm={s.lean} signed tenths />
                </td>
                <td>
                  <span className="figure">{Math.round(100 * s.inside)} %</span>
                  {s.heights < 10 ? <span className="muted small"> few yet</span> : null}
                </td>
                <td>{s.thumb ? <Length mm={s.thumb.off} tenths /> : <span className="muted">no such rule</span>}</td>
                <td>{s.guess ? <Length mm={s.guess.off} tenths /> : <span className="muted">none made</span>}</td>
              </tr>
            ))}
          </tbody>
        ))}
      </table>
      <p className="muted small">
        Rule of thumb: a block gives its height, a shackle half of what it is longer, an added leaf its thickness.{' '}
        {scoresOpen ? 'Everybody here sees everybody’s.' : 'Yours are seen by you alone.'} A band should hold nine
        heights in ten; with few of them that says little.
      </p>
      <div className="acts">
        <button
          type="button"
          className="act quiet"
          disabled={busy}
          onClick={() =>
            void run(async () => {
              await call('/api/scores', 'PUT', { open: !scoresOpen });
              router.refresh();
            })
          }
        >
          {scoresOpen ? 'Show each only their own again' : 'Show everybody’s to all, as the owner'}
        </button>
      </div>
      <ProblemNote problem={problem} />
    </div>
  );
}

const TRIP = distanceRule(1, 1e6);

function BrokenList({ broken }: { broken: readonly Broken[] }) {
  const [trip, setTrip] = useState<Typed | null>(null);
  if (broken.length === 0)
    return (
      <p className="muted">Nothing that broke is written down. On Inspect, under “what broke before”, it can be.</p>
    );
  return (
    <>
      <div className="grid-fields tight">
        <TypedField
          label="A trip of"
          rule={TRIP}
          value={trip}
          draft="record|trip"
          hint="for the spares to carry"
          onChange={setTrip}
        />
      </div>
      <div className="scroll" tabIndex={0} role="region" aria-label="What breaks">
        <table className="record-table">
          <thead>
            <tr>
              <th scope="col">vehicle</th>
              <th scope="col">failures</th>
              <th scope="col">in 10,000 km, nine in ten</th>
              <th scope="col">one in about</th>
              <th scope="col">the same place again</th>
              <th scope="col">spares for the trip</th>
            </tr>
          </thead>
          <tbody>
            {broken.map((b) => (
              <BrokenRow key={b.vehicleId} broken={b} trip={trip?.value ?? null} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="muted small">
        Every failure is taken as chance, with half a failure as its beginning; one place that breaks again has a cause
        to be found before spares are packed. Spares cover 95 trips in 100.
      </p>
    </>
  );
}

function BrokenRow({ broken: { vehicleId, vehicle, to, failures }, trip }: { broken: Broken; trip: number | null }) {
  const over = Math.max(1, to);
  const { rate, low, high } = failureRate(Math.min(200, failures.length), over);
  const { repeated } = failureHistory(failures, 0, to);
  const spares = trip === null ? null : sparesFor(Math.min(200, failures.length), over, trip);
  const figure = (v: number) => v.toFixed(v < 1 ? 2 : 1);
  return (
    <tr>
      <th scope="row">
        <Link href={`/vehicles/${vehicleId}`} prefetch={false}>
          {vehicle}
        </Link>
      </th>
      <td>
        <span className="figure">{failures.length}</span> <span className="muted">in</span>{' '}
        <Quantity value={over} of="distance" />
      </td>
      <td className="figure">
        {figure(rate)}{' '}
        <span className="muted">
          ({figure(low)} to {figure(high)})
        </span>
      </td>
      <td>
        <Quantity value={1e4 / rate} of="distance" />
      </td>
      <td>
        {repeated.length === 0 ? (
          <span className="muted">no</span>
        ) : (
          repeated.map((r) => (
            <Marked key={r.place} kind="look">
              {r.place}, {r.times} times
            </Marked>
          ))
        )}
      </td>
      <td className="figure">{spares === null ? '–' : spares.spares}</td>
    </tr>
  );
}
