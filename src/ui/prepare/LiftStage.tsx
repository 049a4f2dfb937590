'use client';
import { type JobView } from '@/contracts/job';
import { pairOnSketch, railOf } from '@/core/vehicle/outline';
import { VehicleBody } from '../drawing/VehicleSketch';
import { Dimension } from '../drawing/Dimension';
import { fit } from '../drawing/scale';
import { ScaleBar } from '../drawing/ScaleBar';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';
import { useQuantityText } from '../measured/Quantity';
import { Chocks, Ground, Stand, Wheel } from '../drawing/Standing';
import { useView } from '../theme/View';
import { sketchedAxles } from '../frame/VehicleHead';
import { type Lift } from '@/contracts/lifting';

/** Where nothing is read yet the vehicle is drawn as it stands, with this much of a wheel, mm. */
const WHEEL = 0.125;
const TABLE = 292;

/** The vehicle from its left on its stands, to scale: chocked, held, the axle hanging free of the ground. */
export function LiftStage({ view, lift }: { view: JobView; lift: Lift }) {
  const [ref, width, room] = useRoom<HTMLElement>(760);
  const { lengths } = useView();
  const text = useLengthText();
  const quantity = useQuantityText();
  const { form, wheelbase } = view.vehicle;
  const { at, plan, stand } = lift;
  const hub = view.readings.find((r) => r.point === 'groundToHub' && r.phase === 'before')?.value ?? null;
  const radius = hub ?? Math.min(0.17, Math.max(0.1, (WHEEL * 3300) / Math.max(wheelbase, 1500))) * wheelbase;
  const rear = view.axle.position === 'rear';
  const [own, other] = rear ? [wheelbase, 0] : [0, wheelbase];
  const hitched = form === 'trailer' || form === 'fifthWheel';
  const ahead = lift.ahead ?? wheelbase * 0.2;
  const standX = own + (rear ? -ahead : ahead);
  const frame = lift.frame ?? railOf(form) * wheelbase;
  const top = plan ? (plan.set ?? plan.least) : frame;
  // The frame turns about the wheels that stay down: what it rises is nothing there and most at the axle that is lifted.
  const rise = (x: number) => (plan ? (plan.raiseAtAxle * (x - other)) / (own - other) : 0);
  const hangs = at && plan ? radius + at.squash + plan.clear : radius;
  const narrow = width < 720;
  const across = narrow ? width : width - TABLE;
  const s = fit(
    { left: -0.34 * wheelbase, right: 1.36 * wheelbase, top: 0.66 * wheelbase + Math.max(0, rise(own)), bottom: 0 },
    across,
    { left: 14, right: 14, top: 8, bottom: 46 },
    Number.isFinite(room) ? room : Infinity,
  );
  const ground = s.y(0);
  const turned = (-180 / Math.PI) * Math.atan((plan ? plan.raiseAtAxle : 0) / (own - other));
  const shift = frame - railOf(form) * wheelbase;
  const places = {
    x: (v: number) => s.x(v * wheelbase),
    y: (v: number) => s.y(v * wheelbase + shift),
  };
  const pair = sketchedAxles(view).find((a) => a.touched)?.pair ?? false;
  const wheels = pair ? pairOnSketch().map((off) => own + off * wheelbase) : [own];
  const tall = Number.isFinite(room) ? room : 300;
  const pitch = Math.max(24, Math.min(34, (tall - 24) / 7));
  const rows: [string, string, 'new' | ''][] = plan
    ? [
        [
          stand ? `${stand.name}${plan.notch === null ? '' : `, notch ${plan.notch}`}` : 'stands, at least',
          text(plan.set ?? plan.least),
          'new',
        ],
        ['tyre clear by', text(plan.clear), 'new'],
        ['axle drops away', text(at!.droop), ''],
        ['jack reaches', text(plan.jack), ''],
        [hitched ? 'coupling lighter by' : 'other axle lighter by', quantity(plan.relieved, 'mass'), ''],
        ['frame rises at the axle', text(plan.raiseAtAxle), ''],
        ['frame there, as it stands', text(frame), ''],
      ]
    : [];
  return (
    <figure className="figure-sheet lift-stage" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${Math.max(s.height, Number.isFinite(room) ? room : 0).toFixed(1)}`}
        role="img"
        aria-label={
          plan
            ? `The vehicle on its stands: frame at ${text(top)}, tyre clear of the ground by ${text(plan.clear)}`
            : 'The vehicle as it stands; where it is held is not known yet'
        }
      >
        <Ground s={s} to={across} />
        <g transform={`rotate(${turned.toFixed(3)} ${s.x(other)} ${s.y(frame)})`}>
          <VehicleBody form={form} x={places.x} y={places.y} />
        </g>
        {hitched ? (
          <path
            d={`M${s.x(0) - 14} ${ground}L${s.x(0)} ${s.y(frame) + 4}L${s.x(0) + 14} ${ground}Z`}
            fill="var(--steel)"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ) : (
          <>
            <Wheel s={s} x={other} y={radius} r={radius} />
            <Chocks s={s} x={other} r={radius} />
          </>
        )}
        {wheels.map((x) => (
          <g key={x}>
            {plan ? <Wheel s={s} x={x} y={radius} r={radius} ghost /> : null}
            <Wheel s={s} x={x} y={hangs} r={radius + (plan ? at!.squash : 0)} touched />
          </g>
        ))}
        <Stand s={s} x={standX} top={top} known={plan !== null} />
        {plan ? (
          <>
            <Dimension s={s} at={s.x(standX) - 26} from={0} to={top} ink="new" />
            <path d={`M${s.x(own) - 10} ${s.y(0)}V${s.y(plan.clear)}`} stroke="var(--new)" strokeWidth="3" />
            {narrow ? null : (
              <text x={s.x(own + radius) + 12} y={ground - 8} className="num" style={{ fill: 'var(--new)' }}>
                {text(plan.clear)}
              </text>
            )}
          </>
        ) : null}
        <text x={s.x(standX)} y={ground + 18} textAnchor="middle" style={plan ? { fill: 'var(--new)' } : {}}>
          {plan ? `stands ${text(top)}` : 'stands'}
        </text>
        {hitched ? (
          <text x={s.x(other)} y={ground + 18} textAnchor="middle">
            nose held
          </text>
        ) : (
          <text x={s.x(other)} y={ground + 18} textAnchor="middle">
            chocked both ways
          </text>
        )}
        <ScaleBar s={s} across={1.7 * wheelbase} lengths={lengths} left={14} top={s.height - 10}>
          {view.states[0]?.name ?? ''}
        </ScaleBar>
        {narrow
          ? null
          : rows.slice(0, Math.max(4, Math.floor((tall - 14) / 24))).map(([name, value, ink], k) => (
              <g key={name} className={ink}>
                <text x={across + 16} y={24 + pitch * k} style={ink ? { fill: 'var(--new)' } : {}}>
                  {name.length > 26 ? `${name.slice(0, 25)}…` : name}
                </text>
                <text
                  x={width - 6}
                  y={24 + pitch * k}
                  textAnchor="end"
                  className="num strong"
                  style={ink ? { fill: 'var(--new)' } : {}}
                >
                  {value}
                </text>
                <path d={`M${across + 16} ${24 + pitch * k + 7}H${width - 6}`} stroke="var(--rule)" strokeWidth="1" />
              </g>
            ))}
      </svg>
      {plan && narrow ? (
        <dl className="facts">
          {rows.map(([name, value]) => (
            <div key={name} className="fact-row">
              <dt>{name}</dt>
              <dd className="figure">{value}</dd>
            </div>
          ))}
        </dl>
      ) : null}
      {plan ? null : (
        <figcaption className="lift-wants" style={narrow ? {} : { width: TABLE - 16 }}>
          {lift.refused ? (
            <p className="look">These figures cannot be: {lift.refused}.</p>
          ) : (
            <>
              <p>How high it is held wants</p>
              <ul>
                {lift.wants.map((want) => (
                  <li key={want}>{want}</li>
                ))}
              </ul>
              <p>
                <a href="#stands">read it here</a>
              </p>
            </>
          )}
        </figcaption>
      )}
    </figure>
  );
}
