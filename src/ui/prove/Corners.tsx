'use client';
import { Checkbox } from 'antd';
import Link from 'next/link';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { type JobHandle } from '../job/useJob';
import { DayBar } from '../measure/DayBar';
import { pointName } from '../measure/fields';
import { BandText, Length } from '../measured/Figure';
import { ReadingField } from '../measured/ReadingField';
import { SIDES } from '@/core/vehicle/side';
import { CornerRuler, RulerKey, spanOf } from './CornerRuler';
import { cornerName, readBefore, type Corner, type ProvingPoint } from './corners';

interface Props {
  job: JobHandle;
  corners: readonly Corner[];
  stateId: string;
  point: ProvingPoint;
  onPoint: (point: ProvingPoint) => void;
  rolled: boolean;
  onRolled: (rolled: boolean) => void;
}

/** Every corner on one ruler, and the tape's reading typed beside it by the rules of before. */
export function Corners({ job, corners, stateId, point, onPoint, rolled, onRolled }: Props) {
  const { view } = job;
  const span = spanOf(corners);
  const told = corners.some((c) => c.foretold);
  return (
    <div className="corners">
      <div className="corners-how">
        <Checkbox checked={rolled} onChange={(event) => onRolled(event.target.checked)}>
          rolled a length and bounced, on level ground
        </Checkbox>
        <Chips
          label="Measured from"
          options={[
            { id: 'hubToLip', name: pointName(view, 'hubToLip').toLowerCase() },
            {
              id: 'groundToLip',
              name: `${pointName(view, 'groundToLip').toLowerCase()}, same tyre pressure`,
              disabled: !SIDES.some((s) => readBefore(view, 'groundToLip', s, stateId)),
            },
          ]}
          value={point}
          onPick={onPoint}
        />
        <RulerKey guessed={corners.some((c) => c.guess !== null)} />
      </div>
      {told ? null : (
        <p>
          <Marked kind="look">
            No height was foretold for this build in this load, so there is nothing to compare with.
          </Marked>
        </p>
      )}
      {corners.map((corner) => (
        <CornerRow
          key={`${corner.view.id}${corner.side}`}
          {...{ job, corner, stateId, point, rolled }}
          span={span}
          many={corners.length > 2}
        />
      ))}
      <details className="day-fold">
        <summary>tank, tyre pressure, weight on the wheels as it was read</summary>
        <DayBar job={job} phase="after" />
      </details>
      <p className="muted small">
        Before torque goes on bonded bushes the weight must be on the wheels. Read the heights after that, before any
        settling drive.
      </p>
    </div>
  );
}

interface RowProps {
  job: JobHandle;
  corner: Corner;
  stateId: string;
  point: ProvingPoint;
  rolled: boolean;
  span: ReturnType<typeof spanOf>;
  many: boolean;
}

function CornerRow({ job, corner, stateId, point, rolled, span, many }: RowProps) {
  const { view, side, foretold, outcome, off, guess, was } = corner;
  const own = view.id === job.view.id;
  const name = many ? cornerName(corner) : side;
  return (
    <div className={outcome && !outcome.inside ? 'corner off' : 'corner'} data-side={own ? side : undefined}>
      <div className="corner-name">
        <strong>{name}</strong>
        {foretold ? (
          <span className="new">
            <Length mm={foretold.height} /> <BandText reach={foretold.reach} />
          </span>
        ) : (
          <span className="muted small">not foretold as a height in this load</span>
        )}
        {was === null ? null : (
          <span className="muted small">
            was <Length mm={was} />
            {guess === null ? null : (
              <>
                , guess <Length mm={guess} />
              </>
            )}
          </span>
        )}
      </div>
      {span && (foretold || outcome) ? (
        <CornerRuler
          corner={corner}
          span={span}
          label={`${name}: before, foretold with its band${outcome ? ', tape' : ''}${guess === null ? '' : ', guess'}`}
        />
      ) : (
        <span />
      )}
      <div className="corner-tape">
        {own && foretold ? (
          <ReadingField
            key={`${point}${side}${stateId}`}
            job={job}
            point={point}
            phase="after"
            side={side}
            stateId={stateId}
            rolled={rolled}
            path="/outcomes"
          />
        ) : own ? null : (
          <Link href={`/jobs/${view.id}/prove`} prefetch={false}>
            {outcome ? <Length mm={outcome.measured} /> : 'read it there'}
          </Link>
        )}
      </div>
      <div className="corner-off">
        {outcome && off !== null ? (
          <>
            <strong className={outcome.inside ? 'figure' : 'figure look'}>
              <Length mm={off} signed />
            </strong>
            <span className="muted small">
              tape <Length mm={outcome.measured} />
            </span>
            <Marked kind={outcome.inside ? 'done' : 'look'}>{outcome.inside ? 'inside' : 'outside'} the band</Marked>
            {outcome.convertedBy === 0 ? null : (
              <span className="muted small">
                <Length mm={outcome.convertedBy} signed /> of it converts the fill of the tank
              </span>
            )}
          </>
        ) : (
          <span className="muted">not measured yet</span>
        )}
      </div>
    </div>
  );
}
