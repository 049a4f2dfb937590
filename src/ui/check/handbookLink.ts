import { besidesOf } from '@/contracts/besides';
import { ASSUMED_TRAVEL } from '@/core/travel/limits';
import { type Binding } from './bindings';
import { firstOf, type Travel } from './useTravel';

const mm = (value: number): string => `${value.toFixed(0)} mm`;
const degrees = (value: number): string => `${((value * 180) / Math.PI).toFixed(1)}°`;

/** The Handbook's sum of a row with this job's figures in it; null where there is none, or too little was read. */
export function handbookLink(row: Binding, { known, fittings, sits, limiters, planned }: Travel): string | null {
  const put = (sum: string, texts: Record<string, string | null>): string =>
    `/handbook?${new URLSearchParams({
      sum,
      job: planned.id,
      ...Object.fromEntries(Object.entries(texts).filter((pair): pair is [string, string] => pair[1] !== null)),
    }).toString()}`;
  const first = (id: Parameters<typeof firstOf>[1]) => firstOf(limiters, id);
  switch (row.id) {
    case 'shockShut':
    case 'shockLength': {
      const at = first(row.id === 'shockShut' ? 'shockShut' : 'shockOpen');
      const read = at && known.travel!.read[at.side];
      if (!read || read.shockLength === undefined) return null;
      const [shut, open] = [fittings.shock?.shut ?? read.shockShut, fittings.shock?.open ?? read.shockOpen];
      const solid = first('stopSolid');
      return put('shock', {
        rest: mm(read.shockLength),
        lean: degrees(read.shockLean ?? ASSUMED_TRAVEL.lean.value),
        shut: shut === undefined ? null : mm(shut),
        open: open === undefined ? null : mm(open),
        up: solid ? mm(Math.max(0, -solid.at)) : null,
      });
    }
    case 'stopGap':
    case 'packLimit':
    case 'axleToFrame':
    case 'tyreToArch':
    case 'tyreAtLock': {
      const touches = first('stopTouches');
      const read = touches && known.travel!.read[touches.side];
      if (!read || read.stopGap === undefined || read.stopHeight === undefined) return null;
      const rests = Math.min(sits.will.left, sits.will.right);
      const hard = Math.max(...limiters.filter((l) => !/stop|shockOpen/.test(l.id)).map((l) => l.at));
      return put('stop', {
        gap: mm(read.stopGap + read.stopHeight + rests),
        uncut: mm(read.stopHeight - fittings.stopCut + fittings.stopPad),
        hard: Number.isFinite(hard) ? mm(Math.max(0, rests - hard)) : null,
      });
    }
    case 'driveline': {
      const { outputSlope, shaftSlope, pinionSlope } = known.driveline ?? {};
      if (outputSlope === undefined || shaftSlope === undefined || pinionSlope === undefined) return null;
      return put('joints', { output: degrees(outputSlope), shaft: degrees(shaftSlope), pinion: degrees(pinionSlope) });
    }
    case 'bushFront':
    case 'bushRear': {
      const place = row.id === 'bushFront' ? 'front' : 'rear';
      const { read, bushes } = besidesOf(planned);
      const tenth = (value: number | null | undefined) =>
        value === null || value === undefined ? null : `${value.toFixed(2)} mm`;
      return put('bushfit', {
        ...{ eye: tenth(bushes?.eyes[place]), shell: tenth(read[`${place}Shell`]) },
        ...{ sleeve: tenth(read[`${place}Sleeve`]), bolt: tenth(read[`${place}Bolt`]) },
        ...{ width: tenth(read[`${place}Length`]), hanger: tenth(read[`${place}Inside`]) },
      });
    }
    case 'toe': {
      const { read } = besidesOf(planned);
      const whole = (value: number | undefined) => (value === undefined ? null : mm(value));
      return put('toe', {
        ...{ front: whole(read.treadFront), rear: whole(read.treadRear), diameter: whole(read.treadDiameter) },
        ...{ front2: whole(read.treadFrontTurned), rear2: whole(read.treadRearTurned), arm: whole(read.steeringArm) },
      });
    }
    case 'square': {
      const { read, stands } = besidesOf(planned);
      const { left, right } = stands.hubToHub;
      if (left === null || right === null || read.hubTrack === undefined) return null;
      return put('square', { left: mm(left), right: mm(right), track: mm(read.hubTrack) });
    }
    default:
      return null;
  }
}
