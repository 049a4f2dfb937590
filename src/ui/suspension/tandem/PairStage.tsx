'use client';
import { useMemo, useState, type ReactNode } from 'react';
import { type TandemAxleInput } from '@/core/suspension/tandem/input';
import { pairOnRoad, ROAD_REACH, type RoadSweep } from '@/core/suspension/tandem/road';
import { type TandemFigures } from '@/core/suspension/tandem/sideModel';
import { type Side } from '@/core/vehicle/side';
import { Marked } from '../../controls/Mark';
import { Sheet } from '../../controls/Sheet';
import { Slider } from '../../controls/Slider';
import { useLengthText } from '../../measured/Figure';
import { useQuantityText } from '../../measured/Quantity';
import { TandemElevation } from './TandemElevation';

interface Props {
  /** With its plan, or as it stands. */
  input: TandemAxleInput;
  /** As it stands, to be drawn dashed; null where nothing is planned. */
  standing: TandemAxleInput | null;
  side: Side;
  /** Index and name of the load state that is looked at. */
  state: { index: number; name: string };
  /** Loaded radius of the tyres, mm; null where nobody read it. */
  radius: number | null;
}

/**
 * The pair under one load, tried on the road: coupling up and down, a bump under either axle. Nothing here is saved.
 * @returns its verdict, its drawing, and what moves them; null while it cannot be drawn
 */
export function usePairOnRoad(
  input: TandemAxleInput,
  { standing, side, state, radius }: Omit<Props, 'input'>,
): { verdict: ReactNode; drawing: ReactNode; road: ReactNode } | null {
  const [hitch, setHitch] = useState(0);
  const [bump, setBump] = useState(0);
  const lengthText = useLengthText();
  const road = useMemo(() => pairOnRoad(input, side, state.index), [input, side, state.index]);
  const before = useMemo(
    () => (standing && pairOnRoad(standing, side, state.index)?.at({ hitch: 0, bump: 0 })) ?? null,
    [standing, side, state.index],
  );
  const sweep = useMemo(() => road?.sweep() ?? null, [road]);
  const shown = road?.at({ hitch, bump }) ?? null;
  const level = shown ?? road?.at({ hitch: 0, bump: 0 }) ?? null;
  if (!road || !level) return null;
  const onBump = bump === 0 ? '' : `, ${lengthText(Math.abs(bump))} under the ${bump > 0 ? 'front' : 'rear'} wheel`;
  return {
    verdict: <Verdict shown={shown} limit={input.wheelLimit} />,
    drawing: (
      <TandemElevation
        old={before}
        shown={level}
        look={standing ? 'new' : 'now'}
        side={side}
        stateName={`${state.name}${onBump}`}
        radius={radius}
        bump={shown ? bump : 0}
      />
    ),
    road: (
      <div className="pair-road">
        <GroundBars shown={level} limit={input.wheelLimit} />
        <div>
          <Slider
            id="road-hitch"
            label="Coupling higher by"
            text={lengthText(hitch)}
            least={-ROAD_REACH.hitch}
            most={ROAD_REACH.hitch}
            step={5}
            value={hitch}
            onChange={setHitch}
          >
            {sweep ? <ShareStrip sweep={sweep} hitch={hitch} /> : null}
          </Slider>
          <Slider
            id="road-bump"
            label="Bump: rear wheel to the left, front wheel to the right"
            text={bump === 0 ? 'none' : `${lengthText(Math.abs(bump))} ${bump > 0 ? 'front' : 'rear'}`}
            least={-ROAD_REACH.bump}
            most={ROAD_REACH.bump}
            step={5}
            value={bump}
            onChange={setBump}
          />
          {hitch === 0 && bump === 0 ? null : (
            <button
              type="button"
              className="act quiet"
              onClick={() => {
                setHitch(0);
                setBump(0);
              }}
            >
              Back to level ground
            </button>
          )}
        </div>
      </div>
    ),
  };
}

/** The pair on one sheet: what it does, drawn, and what moves it. */
export function PairStage({ input, ...rest }: Props) {
  const shown = usePairOnRoad(input, rest);
  if (!shown) return null;
  return (
    <Sheet title={`Two axles, ${rest.side}`} aside={<span className="muted">{rest.state.name}</span>}>
      {shown.verdict}
      {shown.drawing}
      {shown.road}
    </Sheet>
  );
}

const shares = (shown: TandemFigures): string => {
  const front = Math.round((100 * shown.front.wheel) / (shown.front.wheel + shown.rear.wheel));
  return `${front}:${100 - front}`;
};
const degrees = (rad: number): string => ((Math.abs(rad) * 180) / Math.PI).toFixed(0);

/** The one thing to read: how the axles share, and what does not do. */
function Verdict({ shown, limit }: { shown: TandemFigures | null; limit: number | null }) {
  const quantity = useQuantityText();
  if (!shown)
    return (
      <p className="pair-verdict" role="status">
        <span className="stop-word">STOP: one axle hangs in the air</span>
      </p>
    );
  const end = shown.front.wheel >= shown.rear.wheel ? 'front' : 'rear';
  const over = limit === null ? null : shown[end].wheel - limit;
  return (
    <p className="pair-verdict" role="status" data-testid="pair-verdict">
      <span className="figure">{shares(shown)}</span>{' '}
      {over !== null && over > 0 ? (
        <span className="stop-word">
          STOP: {end} wheel {quantity(over, 'mass')} over its tyre
        </span>
      ) : shown.atStop ? (
        <Marked kind="look">rocker at its stop, the axles no longer share</Marked>
      ) : shown.swing === null ? (
        <span>each axle for itself</span>
      ) : (
        <span>
          rocker tilts {degrees(shown.swing)}°{shown.stop === null ? '' : ` of ${degrees(shown.stop)}° before its stop`}
        </span>
      )}
    </p>
  );
}

/** What stands under each wheel, against what it may carry. */
function GroundBars({ shown, limit }: { shown: TandemFigures; limit: number | null }) {
  const quantity = useQuantityText();
  const most = 1.12 * Math.max(limit ?? 0, shown.front.wheel, shown.rear.wheel);
  const per = (value: number) => `${((100 * value) / most).toFixed(2)}%`;
  return (
    <div className="ground-bars" aria-label="On the ground">
      {(['front', 'rear'] as const).map((end) => {
        const { wheel } = shown[end];
        const spare = limit === null ? null : limit - wheel;
        return (
          <div key={end} className="ground-bar">
            <div>
              under the {end} wheel <strong className="figure">{quantity(wheel, 'mass')}</strong>
            </div>
            <div className="ground-track">
              <span className="ground-load" style={{ width: per(Math.min(wheel, limit ?? wheel)) }} />
              {spare !== null && spare < 0 ? <span className="ground-over" style={{ width: per(-spare) }} /> : null}
              {limit === null ? null : <span className="ground-limit" style={{ left: per(limit) }} />}
            </div>
            <div className={spare !== null && spare < 0 ? 'stop-word small' : 'muted small'}>
              {spare === null
                ? 'nobody said what a wheel may carry'
                : spare < 0
                  ? `STOP ${quantity(-spare, 'mass')} over`
                  : `${quantity(spare, 'mass')} to spare`}
            </div>
          </div>
        );
      })}
    </div>
  );
}

const STRIP = { width: 400, height: 64, top: 10, bottom: 54 };

/** Share of the front axle over the coupling’s height; where the rocker swings free it stays what it is. */
function ShareStrip({ sweep, hitch }: { sweep: RoadSweep; hitch: number }) {
  const lengthText = useLengthText();
  const known = sweep.points.filter((p): p is typeof p & { share: number } => p.share !== null);
  if (known.length === 0) return null;
  const x = (mm: number) => ((mm + ROAD_REACH.hitch) / (2 * ROAD_REACH.hitch)) * STRIP.width;
  const low = Math.min(0.35, ...known.map((p) => p.share)) - 0.02;
  const high = Math.max(0.65, ...known.map((p) => p.share)) + 0.02;
  const y = (share: number) => STRIP.bottom - ((share - low) / (high - low)) * (STRIP.bottom - STRIP.top);
  const path = known.map((p, k) => `${k === 0 ? 'M' : 'L'}${x(p.hitch).toFixed(1)} ${y(p.share).toFixed(1)}`).join('');
  const { free } = sweep;
  const whole = free !== null && free.to - free.from >= 2 * ROAD_REACH.hitch;
  return (
    <>
      <svg
        className="share-strip"
        viewBox={`0 0 ${STRIP.width} ${STRIP.height}`}
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        {free ? (
          <rect x={x(free.from)} y={0} width={x(free.to) - x(free.from)} height={STRIP.height} fill="var(--new-wash)" />
        ) : null}
        <line x1={0} x2={STRIP.width} y1={y(0.5)} y2={y(0.5)} stroke="var(--tick)" strokeDasharray="4 4" />
        <path d={path} fill="none" stroke="var(--ink)" strokeWidth="2.4" vectorEffect="non-scaling-stroke" />
        <line
          x1={x(hitch)}
          x2={x(hitch)}
          y1={0}
          y2={STRIP.height}
          stroke="var(--new)"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <span className="muted small">
        {free
          ? whole
            ? 'share of the front axle; the rocker swings free over all of this'
            : `share of the front axle; the rocker swings free from ${lengthText(free.from)} to ${lengthText(free.to)}`
          : 'share of the front axle; a higher coupling loads the rear one'}
      </span>
    </>
  );
}
