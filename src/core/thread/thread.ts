declare const named: unique symbol;
/** The designation of a thread, `M14 x 1.5` or `9/16-18 UNF`: a name, never a length, never converted. */
export type ThreadName = string & { readonly [named]: 'thread' };

export interface Thread {
  name: ThreadName;
  system: 'metric' | 'unified';
  /** Nominal diameter, mm. */
  diameter: number;
  /** mm; null for an inch size of which the series was not said. */
  pitch: number | null;
  series: 'coarse' | 'fine' | null;
}

/** Pitches of ISO metric threads, mm, coarse first (ISO 261 and 262, from memory). */
const METRIC: Readonly<Record<string, readonly number[]>> = {
  4: [0.7, 0.5],
  5: [0.8, 0.5],
  6: [1, 0.75],
  8: [1.25, 1],
  10: [1.5, 1.25, 1],
  12: [1.75, 1.5, 1.25],
  14: [2, 1.5, 1.25],
  16: [2, 1.5],
  18: [2.5, 2, 1.5],
  20: [2.5, 2, 1.5],
  22: [2.5, 2, 1.5],
  24: [3, 2, 1.5],
  27: [3, 2],
  30: [3.5, 2],
  33: [3.5, 2],
  36: [4, 3],
};

/** Threads per inch of unified sizes: coarse (UNC) and fine (UNF) (ASME B1.1, from memory). */
const UNIFIED: Readonly<Record<string, readonly [coarse: number, fine: number]>> = {
  '1/4': [20, 28],
  '5/16': [18, 24],
  '3/8': [16, 24],
  '7/16': [14, 20],
  '1/2': [13, 20],
  '9/16': [12, 18],
  '5/8': [11, 18],
  '3/4': [10, 16],
  '7/8': [9, 14],
  '1': [8, 12],
  '1-1/8': [7, 12],
  '1-1/4': [7, 12],
  '1-3/8': [6, 12],
  '1-1/2': [6, 12],
};

const INCH = 25.4;
const inches = (size: string): number =>
  size.split('-').reduce((sum, piece) => {
    const [top, bottom] = piece.split('/').map(Number);
    return sum + top! / (bottom ?? 1);
  }, 0);

export type ReadThread =
  | { kind: 'ok'; thread: Thread }
  | { kind: 'empty' }
  | { kind: 'ask'; question: string; options: Thread[] }
  | { kind: 'refused'; reason: string };

const METRIC_NAME = /^m\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d*[.,]?\d+))?$/i;
const UNIFIED_NAME = /^(\d+(?:[-\s]\d+\/\d+)?|\d+\/\d+)\s*(?:in|")?(?:\s*[-–x]\s*(\d+))?\s*(unc|unf)?$/i;

const metric = (size: string, pitch: number): Thread => ({
  name: (pitch === METRIC[size]![0] ? `M${size}` : `M${size} x ${pitch}`) as ThreadName,
  system: 'metric',
  diameter: Number(size),
  pitch,
  series: pitch === METRIC[size]![0] ? 'coarse' : 'fine',
});

const unified = (size: string, series: 'coarse' | 'fine' | null): Thread => {
  const count = series && UNIFIED[size]![series === 'coarse' ? 0 : 1];
  return {
    name: (count ? `${size}-${count} ${series === 'coarse' ? 'UNC' : 'UNF'}` : size) as ThreadName,
    system: 'unified',
    diameter: inches(size) * INCH,
    pitch: count ? INCH / count : null,
    series,
  };
};

/**
 * Reads a thread's designation: ISO metric coarse and fine (`M10`, `M10 x 1.25`), unified coarse and fine (`3/8-16`, `3/8-24 UNF`,
 * `3/8` while the series is not known). A pair that does not exist is refused with those that do; a bare number is asked about.
 */
export function parseThread(text: string): ReadThread {
  const given = text.trim().replace(/,/g, '.').replace(/\s+/g, ' ');
  if (given === '') return { kind: 'empty' };
  const m = METRIC_NAME.exec(given);
  if (m) {
    const size = String(Number(m[1]));
    const pitches = METRIC[size];
    if (!pitches) return { kind: 'refused', reason: `There is no thread M${size} here; sizes go from M4 to M36.` };
    const pitch = m[2] === undefined ? pitches[0]! : Number(m[2]);
    if (!pitches.includes(pitch))
      return {
        kind: 'refused',
        reason: `M${size} comes with a pitch of ${pitches.join(', ')} mm, not ${pitch}.`,
      };
    return { kind: 'ok', thread: metric(size, pitch) };
  }
  const u = UNIFIED_NAME.exec(given);
  const size = u?.[1]!.replace(' ', '-');
  // A bare whole number may be a metric size as well as an inch.
  if (u && size && UNIFIED[size] && (size.includes('/') || u[2] || u[3])) {
    const [coarse, fine] = UNIFIED[size]!;
    const count = u[2] === undefined ? null : Number(u[2]);
    const word = u[3]?.toLowerCase();
    const series =
      word === 'unc'
        ? 'coarse'
        : word === 'unf'
          ? 'fine'
          : count === coarse
            ? 'coarse'
            : count === fine
              ? 'fine'
              : null;
    if (count !== null && count !== (series === 'fine' ? fine : coarse))
      return {
        kind: 'refused',
        reason: `${size} in comes with ${coarse} (UNC) or ${fine} (UNF) threads per inch, not ${count}${word ? ` as ${word.toUpperCase()}` : ''}.`,
      };
    return { kind: 'ok', thread: unified(size, series) };
  }
  const bare = /^(\d+(?:\.\d+)?)(?:\s*mm)?$/.exec(given);
  if (bare) {
    const options = METRIC[String(Number(bare[1]))]?.map((pitch) => metric(String(Number(bare[1])), pitch)) ?? [];
    if (options.length > 0)
      return { kind: 'ask', question: `“${given}” is a number, a thread is a name. Which one?`, options };
  }
  return {
    kind: 'refused',
    reason: `“${given}” is no thread known here. Write it as M12, M12 x 1.25, 1/2-13 or 1/2-20 UNF.`,
  };
}

/** A stored designation; undefined when it cannot be read any more. */
export function threadNamed(text: string): Thread | undefined {
  const read = parseThread(text);
  return read.kind === 'ok' ? read.thread : undefined;
}

/** Every thread that is known here, metric and unified. */
export const ALL_THREADS: readonly Thread[] = [
  ...Object.entries(METRIC).flatMap(([size, pitches]) => pitches.map((pitch) => metric(size, pitch))),
  ...Object.keys(UNIFIED).flatMap((size) => [unified(size, 'coarse'), unified(size, 'fine')]),
];
