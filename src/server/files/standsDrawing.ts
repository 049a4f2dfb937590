import { type VehicleFormId } from '@/core/vehicle/form';
import { BODIES, laidOut, PAIR, scaledPath } from '@/core/vehicle/outline';

interface Stands {
  form: VehicleFormId;
  /** mm */
  wheelbase: number;
  axles: readonly { position: 'front' | 'rear'; pair: boolean }[];
  /** By how much the body stands higher now at each axle, mm. */
  rise: { front: number; rear: number };
  /** What is written at each axle. */
  words: { front: string; rear: string };
  /** A stand under the frame: behind the front axle by so many mm, its top at so many over the ground. */
  stand?: { behind: number; top: number; words: string };
  /** How the axles' wheels hang over the ground, mm; 0 for what stands on it. */
  hangs?: { front: number; rear: number };
  /** What the dashes are. */
  dashes?: string;
}

const escaped = (text: string): string =>
  text.replace(/[&<>]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[c]!);

/** The vehicle as it stands, over its old outline in dashes, to one scale, as SVG. @param width mm of paper */
export function standsDrawing(
  { form, wheelbase, axles, rise, words, stand, hangs, dashes = 'as it stood before' }: Stands,
  width: number,
): { svg: string; height: number } {
  const { scale, radius, x, y } = laidOut(form, wheelbase, width);
  const perMm = scale / wheelbase;
  const tilt = (rise.rear - rise.front) / wheelbase;
  const moved = `matrix(1 ${-tilt} 0 1 0 ${-rise.front * perMm + tilt * x(0)})`;
  const { outline } = BODIES[form];
  const body = (style: string) =>
    outline.map((path) => `<path d="${scaledPath(path, x, y)}" fill="none" ${style}/>`).join('');
  const wheels = axles
    .flatMap(({ position, pair }) =>
      (pair ? [-PAIR / 2 - 0.02, PAIR / 2 + 0.02] : [0]).map((off) => {
        const at = `cx="${x((position === 'rear' ? 1 : 0) + off * 1.6).toFixed(2)}" cy="${(y(radius) - (hangs?.[position] ?? 0) * perMm).toFixed(2)}"`;
        return `<circle ${at} r="${(radius * scale).toFixed(2)}" fill="#fff" stroke="#000" stroke-width=".5"/><circle ${at} r="${(radius * scale * 0.45).toFixed(2)}" fill="none" stroke="#000" stroke-width=".25"/>`;
      }),
    )
    .join('');
  const ground = y(0);
  const bar = 1000 * perMm;
  const label = (at: 'front' | 'rear') =>
    `<text x="${x(at === 'front' ? 0 : 1).toFixed(2)}" y="${(ground + 6).toFixed(2)}" font-size="4" text-anchor="middle">${escaped(words[at])}</text>`;
  const standing = stand
    ? (() => {
        const [at, top] = [x(stand.behind / wheelbase), ground - stand.top * perMm];
        const [half, foot] = [1.6, 4.4];
        return `<path d="M${(at - half).toFixed(2)} ${top.toFixed(2)}h${2 * half}L${(at + foot).toFixed(2)} ${ground}h${-2 * foot}Z" fill="#fff" stroke="#000" stroke-width=".6"/><text x="${at.toFixed(2)}" y="${(ground + 6).toFixed(2)}" font-size="4" text-anchor="middle">${escaped(stand.words)}</text>`;
      })()
    : '';
  const height = ground + 16;
  return {
    height,
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height.toFixed(2)}">${body('stroke="#888" stroke-width=".3" stroke-dasharray="1.6 1"')}<g transform="${moved}">${body('stroke="#000" stroke-width=".5"')}</g>${wheels}${standing}<path d="M0 ${ground}H${width}" stroke="#000" stroke-width=".6"/>${label('front')}${label('rear')}<path d="M2 ${ground + 11}v1.6h${bar.toFixed(2)}v-1.6" fill="none" stroke="#000" stroke-width=".4"/><text x="${(4 + bar).toFixed(2)}" y="${ground + 13}" font-size="3.6">1 m, front is left; dashes: ${escaped(dashes)}</text></svg>`,
  };
}
