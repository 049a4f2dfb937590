'use client';
import { type JobView } from '@/contracts/job';
import { type Residual } from '@/contracts/prove';
import { CAUSES, LOOK_AGAIN, TELLINGS } from '@/core/followup/causes';
import { leftOpenOfJob } from '@/contracts/openList';
import { Marked } from '../controls/Mark';
import { Length } from '../measured/Figure';
import { cornerName, worstOf, type Corner } from './corners';

interface Props {
  view: JobView;
  corners: readonly Corner[];
  residual: Residual | null;
  busy: boolean;
}

const SHOWN = 3;

/** How it came out in one figure, where that may come from, and the one thing to do about it. */
export function ProveVerdict({ view, corners, residual, busy }: Props) {
  const worst = worstOf(corners);
  const stops = leftOpenOfJob(view).filter((i) => i.stop);
  return (
    <section className="sheet verdict-sheet prove-verdict" aria-label="Verdict">
      {stops.length > 0 ? (
        <p className="stop-word">
          STOP: not to be driven. {stops[0]!.text}
          {stops.length > 1 ? `, and ${stops.length - 1} more` : ''}
        </p>
      ) : null}
      <OneFigure worst={worst} />
      {residual && residual.verdict !== 'usual' ? (
        <Causes residual={residual} />
      ) : residual ? (
        <p className="muted">
          No single cause stands out: all of it may be the usual scatter of tape, load and friction (
          {Math.round(100 * residual.usual)} in 100).
        </p>
      ) : busy ? (
        <p className="muted">looking for where it may come from …</p>
      ) : null}
      <Act view={view} worst={worst} residual={residual} />
    </section>
  );
}

function OneFigure({ worst }: { worst: Corner | null }) {
  if (!worst)
    return (
      <p className="prove-figure">
        <span className="prove-words">not measured yet</span>
      </p>
    );
  const off = worst.off!;
  const way = Math.abs(off) < 0.5 ? 'off' : off < 0 ? 'low' : 'high';
  return (
    <p className={worst.outcome!.inside ? 'prove-figure' : 'prove-figure look'}>
      <strong>
        <Length mm={Math.abs(off)} />
      </strong>
      <span className="prove-words">
        {way}, {cornerName(worst)}
        <Marked kind={worst.outcome!.inside ? 'done' : 'look'}>
          {worst.outcome!.inside ? 'as foretold' : 'outside what was foretold'}
        </Marked>
      </span>
    </p>
  );
}

function Causes({ residual }: { residual: Residual }) {
  const rest = residual.causes.slice(SHOWN).reduce((sum, c) => sum + c.share, 0) + residual.unknown;
  const lines = [
    ...residual.causes.slice(0, SHOWN).map((c) => ({ name: CAUSES[c.cause].name, share: c.share, kind: 'one' })),
    { name: 'usual scatter alone', share: residual.usual, kind: 'usual' },
    { name: 'something else', share: rest, kind: 'rest' },
  ];
  return (
    <div className="prove-causes">
      <p className="muted prove-causes-head">
        <span>most likely</span>
        <span>of 100</span>
      </p>
      <ul aria-label="Where it may come from">
        {lines.map(({ name, share, kind }, k) => (
          <li key={name} className={kind === 'one' && k === 0 ? 'first' : kind}>
            <span>{name}</span>
            <span className="figure">{Math.round(100 * share)}</span>
            <span className="cause-track" aria-hidden="true">
              <span style={{ width: `${Math.max(0.5, 100 * share)}%` }} />
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The next thing to do: what would tell most, or the next station. */
function Act({ view, worst, residual }: { view: JobView; worst: Corner | null; residual: Residual | null }) {
  if (!worst)
    return (
      <a className="act prove-act" href="#heights">
        Roll it, then read both sides
      </a>
    );
  if (residual?.verdict === 'lookAgain')
    return (
      <div className="prove-look" role="note">
        <p>
          <Marked kind="look">Look again before it leaves: nothing on the list explains it.</Marked>
        </p>
        <ul>
          {LOOK_AGAIN.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </div>
    );
  if (residual?.tell) {
    const { act, says } = TELLINGS[residual.tell.telling];
    return (
      <a className="act prove-act" href="#heights">
        {act}
        <span>{says}</span>
      </a>
    );
  }
  return (
    <a className="act prove-act" href={view.closing?.closed ? `/jobs/${view.id}/follow` : '#close'}>
      {view.closing?.closed ? 'On to Follow' : 'What is open before it leaves'}
    </a>
  );
}
