import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { STRESS_SOURCE } from '@/core/mechanics/leafpack/stress';
import { type SpringEndId } from '@/core/suspension/kind';
import { SHACKLE_FLAT } from '@/core/mechanics/leafpack/ends';
import { ASSUMED_TRAVEL, type TravelRead } from '@/core/travel/limits';
import { STOP_MARGIN } from '@/core/travel/travelRows';
import { SLACK_ITEMS, SLACK_MARGIN } from '@/core/travel/survey';
import { isBeside, type Binding } from './bindings';
import { firstOf, type Travel } from './useTravel';

const n = (value: number): string => value.toFixed(0).replace('-', '−');

/** How the spring's own ends are found. */
const END_SOURCE: Record<SpringEndId, string> = {
  packLimit: `solved under growing load until a leaf’s nominal stress is ${SPRING_STEEL_LIMITS.bump} MPa, full bump, or its peak ${SPRING_STEEL_LIMITS.yield} MPa, yield (${STRESS_SOURCE})`,
  shackleFlat: `solved under growing load until it is within ${Math.round((SHACKLE_FLAT * 180) / Math.PI)}° of the eyes' line (chosen)`,
  coilBind: 'turns times wire, ends by how they are made',
  coilLoose: 'free length along its axis',
  shearTravel: 'rubber sheared as far as it is thick (common practice)',
};

/** How a row was reckoned, line by line, in millimetres. Places of the hub are told from where it stands today, up as plus. */
export function workingOf(row: Binding, travel: Travel): string[] {
  const { known, fittings, sits, held } = travel;
  const { read } = known.travel!;
  const at = (id: Parameters<typeof firstOf>[1]) => firstOf(travel.limiters, id);
  const of = (id: Parameters<typeof firstOf>[1]): TravelRead => read[at(id)?.side ?? 'left'];
  const solid = at('stopSolid');
  const stop = (): string => {
    if (!solid) return '';
    const { stopGap = 0, stopHeight = 0, stopSolid } = of('stopSolid');
    const share = ASSUMED_TRAVEL.solidShare;
    const { by, half90 } = fittings.struckHigher;
    const raised =
      Math.abs(by) < 0.5 ? '' : ` − what it strikes is higher by ${n(by)}${half90 > 0 ? ` ± ${n(half90)}` : ''}`;
    const cut = fittings.stopCut > 0 ? ` + cut off ${n(fittings.stopCut)}` : '';
    const left = stopHeight - fittings.stopCut;
    const told =
      stopSolid === undefined
        ? `${share.value} × ${n(left)}, assumed ± ${share.half90}`
        : n((stopSolid * left) / (stopHeight || 1));
    return `stop solid at gap ${n(stopGap)} − pad ${n(fittings.stopPad)}${cut}${raised} + height ${n(stopHeight - fittings.stopCut)} − solid (${told}) = +${n(-solid.at)} ± ${n(solid.half90)}`;
  };
  const shock = (id: 'shockShut' | 'shockOpen'): string => {
    const limiter = at(id);
    const { shockLength = 0, shockShut, shockOpen, shockLean } = of(id);
    const length = id === 'shockShut' ? (fittings.shock?.shut ?? shockShut) : (fittings.shock?.open ?? shockOpen);
    if (!limiter || length === undefined) return '';
    const degrees = ((shockLean ?? ASSUMED_TRAVEL.lean.value) * 180) / Math.PI;
    const told = `${n(degrees)}°${shockLean === undefined ? ' (assumed)' : ''}`;
    return `shock ${id === 'shockShut' ? 'shut' : 'open'} at ${n(shockLength)}·cos ${told} − √(${n(length)}² − (${n(shockLength)}·sin ${told})²) = ${limiter.at > 0 ? '' : '+'}${n(-limiter.at)} ± ${n(limiter.half90)}`;
  };
  const places = `sits at ${n(-Math.min(sits.will.left, sits.will.right))}, as it came in at 0`;
  switch (row.id) {
    case 'shockShut':
      return [stop(), shock('shockShut'), `asked for: ${STOP_MARGIN} between them (chosen)`].filter(Boolean);
    case 'axleToFrame':
    case 'tyreToArch':
    case 'tyreAtLock':
      return [
        stop(),
        `${row.name.toLowerCase()} at +${n(-(at(row.id)?.at ?? 0))}, as read`,
        `asked for: ${STOP_MARGIN} (chosen)`,
      ];
    case 'stopGap':
      return [
        places,
        `stop touches at gap − pad + cut off = +${n(-(at('stopTouches')?.at ?? 0))}`,
        known.travel!.struck === 'axle'
          ? 'it strikes the axle'
          : known.travel!.struck === 'plate'
            ? `it strikes the plate on the spring, which the plan raises by ${n(fittings.struckHigher.by)}`
            : `nobody said what it strikes: the axle, or the plate that the plan raises by ${n(2 * fittings.struckHigher.by)}; both are in the ±`,
      ];
    case 'shockLength':
      return [places, shock('shockOpen')].filter(Boolean);
    case 'packLimit':
    case 'shackleFlat':
    case 'coilBind':
    case 'shearTravel':
    case 'coilLoose': {
      const end = held?.endsPlanned?.find((e) => e.id === row.id);
      if (!end) return [];
      const against =
        row.id === 'coilLoose' ? [shock('shockOpen')] : [stop(), `asked for: ${STOP_MARGIN} between them (chosen)`];
      return [
        ...against,
        `${row.name.toLowerCase()} at ${end.at > 0 ? '' : '+'}${n(-end.at)} ± ${n(end.half90)}: ${END_SOURCE[row.id]}`,
      ].filter(Boolean);
    }
    default:
      if (isBeside(row.id)) return [...(travel.beside.find((b) => b.item === row.id)?.working ?? [])];
      return !(SLACK_ITEMS as readonly string[]).includes(row.id)
        ? []
        : [
            `hangs at ${typeof held?.droopPlanned === 'number' ? n(-held.droopPlanned) : 'not known'}`,
            `asked for: ${SLACK_MARGIN} of slack then (chosen)`,
          ];
  }
}
