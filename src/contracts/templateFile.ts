import Drawing from 'dxf-writer';
import { leafTemplate, type LeafTemplate } from '@/core/bench/template';
import { type BenchLeaf } from '@/core/bench/benchPack';

/** Space between two leaves on a sheet, mm. */
const BETWEEN = 25;

interface Placed {
  name: string;
  template: LeafTemplate;
  /** Height of its middle line on the sheet, mm; the first leaf on top. */
  y: number;
}

function placed(leaves: readonly BenchLeaf[]): Placed[] {
  let y = 0;
  return leaves.map((leaf, k) => {
    const width = leaf.width ?? 0;
    y -= k === 0 ? width / 2 : width / 2 + BETWEEN;
    const at = {
      name: `${k + 1}: ${leaf.front + leaf.rear} x ${width} x ${leaf.thickness}`,
      template: leafTemplate(leaf),
      y,
    };
    y -= width / 2;
    return at;
  });
}

/** Leaves flat, one below the other, as DXF in millimetres: layer CUT for outline and hole, layer MARK for the pin and the text. */
export function templateDxf(leaves: readonly BenchLeaf[]): string {
  const drawing = new Drawing();
  drawing.setUnits('Millimeters');
  drawing.addLayer('CUT', Drawing.ACI.WHITE, 'CONTINUOUS');
  drawing.addLayer('MARK', Drawing.ACI.CYAN, 'CONTINUOUS');
  for (const { name, template, y } of placed(leaves)) {
    drawing.setActiveLayer('CUT');
    drawing.drawPolyline(
      template.outline.map((p): [number, number] => [p.x, p.y + y]),
      true,
    );
    for (const hole of template.holes) drawing.drawCircle(hole.x, hole.y + y, hole.radius);
    drawing.setActiveLayer('MARK');
    for (const [a, b] of template.marks) drawing.drawLine(a.x, a.y + y, b.x, b.y + y);
    drawing.drawText(20, y - 3, 6, 0, name);
  }
  return drawing.toDxfString();
}

const fixed = (v: number): string => String(Number(v.toFixed(3)));

/** The same as SVG: one user unit is a millimetre, so that it prints at true size. */
export function templateSvg(leaves: readonly BenchLeaf[]): string {
  const all = placed(leaves);
  const xs = all.flatMap((p) => p.template.outline.map((q) => q.x));
  const ys = all.flatMap((p) => p.template.outline.map((q) => -(q.y + p.y)));
  const [left, top] = [Math.min(...xs) - 5, Math.min(...ys) - 5];
  const [width, height] = [Math.max(...xs) + 5 - left, Math.max(...ys) + 5 - top];
  const parts = all.flatMap(({ name, template, y }) => [
    `<path class="cut" d="${template.outline.map((p, k) => `${k === 0 ? 'M' : 'L'}${fixed(p.x)} ${fixed(-(p.y + y))}`).join('')}Z"/>`,
    ...template.holes.map(
      (h) => `<circle class="cut" cx="${fixed(h.x)}" cy="${fixed(-(h.y + y))}" r="${fixed(h.radius)}"/>`,
    ),
    ...template.marks.map(
      ([a, b]) => `<path class="mark" d="M${fixed(a.x)} ${fixed(-(a.y + y))}L${fixed(b.x)} ${fixed(-(b.y + y))}"/>`,
    ),
    `<text x="20" y="${fixed(-y + 3)}" font-size="6">${name}</text>`,
  ]);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${fixed(width)}mm" height="${fixed(height)}mm" viewBox="${fixed(left)} ${fixed(top)} ${fixed(width)} ${fixed(height)}">`,
    '<style>.cut{fill:none;stroke:#000;stroke-width:.3}.mark{fill:none;stroke:#0aa;stroke-width:.2}</style>',
    ...parts,
    '</svg>',
    '',
  ].join('\n');
}
