// Outlines in millimetres, one to one: a part in hand is laid on the paper.
const mm = (v: number): string => v.toFixed(2);

/** Drawn as thick as this, mm. */
const BAR = 12;

export interface Outline {
  svg: string;
  /** mm on paper. */
  width: number;
  height: number;
}

/** A U-bolt called for, its bend up, ends down. mm */
export function uboltOutline(leg: number, inside: number, thread: number): Outline {
  const [r, x0, x1] = [inside / 2, 4 + BAR, 4 + BAR + inside];
  const [bend, end] = [3 + BAR + r, 3 + BAR + r + leg];
  const [width, height] = [inside + 2 * BAR + 8, end + 4];
  const hatch = (from: number) =>
    Array.from({ length: Math.floor(thread / 2) }, (_, k) => `M${mm(from)} ${mm(end - 2 * k)}h${BAR}`).join('');
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${mm(width)} ${mm(height)}">`,
    `<path d="M${x0} ${mm(end)}V${mm(bend)}A${mm(r)} ${mm(r)} 0 0 1 ${mm(x1)} ${mm(bend)}V${mm(end)}M4 ${mm(end)}V${mm(bend)}A${mm(r + BAR)} ${mm(r + BAR)} 0 0 1 ${mm(x1 + BAR)} ${mm(bend)}V${mm(end)}M4 ${mm(end)}h${BAR}M${mm(x1)} ${mm(end)}h${BAR}" fill="none" stroke="#000" stroke-width=".4"/>`,
    `<path d="${hatch(4)}${hatch(x1)}" fill="none" stroke="#000" stroke-width=".2"/>`,
    `<text x="${mm(4 + BAR + 3)}" y="${mm(bend + leg / 2)}" font-size="4.5">leg ${mm(leg)} mm</text>`,
    `<text x="${mm(4 + BAR + 3)}" y="${mm(bend + leg / 2 + 6)}" font-size="4.5">${mm(inside)} mm inside</text>`,
    '</svg>',
  ].join('');
  return { svg, width, height };
}

/** A wedge from its side, front to the left. @param height in its middle, mm @param angle rad */
export function wedgeOutline(height: number, angle: number, thick: 'front' | 'rear'): string {
  const long = 120;
  const half = (Math.tan(angle) * long) / 2;
  const [left, right] = thick === 'front' ? [height + half, height - half] : [height - half, height + half];
  const base = Math.max(left, right) + 4;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 150 ${mm(base + 10)}">`,
    `<path d="M10 ${mm(base)}H${mm(10 + long)}V${mm(base - Math.max(0, right))}L10 ${mm(base - Math.max(0, left))}Z" fill="none" stroke="#000" stroke-width=".5"/>`,
    `<path d="M${mm(10 + long / 2)} ${mm(base + 3)}V2" stroke="#000" stroke-width=".2"/>`,
    `<text x="10" y="${mm(base + 8)}" font-size="5">front</text>`,
    '</svg>',
  ].join('');
}
