import DxfParser from 'dxf-parser';
import svgpath from 'svgpath';
import { type BenchLeaf } from '@/core/bench/benchPack';
import { leafTemplate } from '@/core/bench/template';
import { templateDxf, templateSvg } from './templateFile';

const leaf = (front: number, rear: number, more: Partial<BenchLeaf> = {}): BenchLeaf => ({
  ...{
    id: 'a',
    front,
    rear,
    width: 63,
    thickness: 8,
    camber: null,
    eyes: 'none',
    ends: 'trimmed',
    clip: false,
    hole: 10.5,
  },
  ...{ from: 'own', used: false, toMake: false, broken: null },
  ...more,
});
const LEAVES = [
  leaf(613.4, 654.2, { eyes: 'both', ends: 'square' }),
  leaf(431.7, 460.1),
  leaf(201.3, 214.9, { hole: null }),
];
/** Heights of the middle lines on the sheet: 25 mm between leaves. */
const MIDDLES = [-31.5, -31.5 - 88, -31.5 - 176];

type Corner = { x: number; y: number };

function agree(found: Corner[], expected: Corner[]): void {
  expect(found).toHaveLength(expected.length);
  found.forEach((p, k) => {
    expect(Math.abs(p.x - expected[k]!.x)).toBeLessThan(0.1);
    expect(Math.abs(p.y - expected[k]!.y)).toBeLessThan(0.1);
  });
}
const expectedOf = (k: number): Corner[] =>
  leafTemplate(LEAVES[k]!).outline.map((p) => ({ x: p.x, y: p.y + MIDDLES[k]! }));

test('another program reads the DXF templates as they were drawn, within 0.1 mm', () => {
  const dxf = new DxfParser().parseSync(templateDxf(LEAVES))!;
  const cut = dxf.entities.filter((e) => e.layer === 'CUT');
  const outlines = cut.filter((e) => /POLYLINE/.test(e.type)) as unknown as { vertices: Corner[] }[];
  expect(outlines).toHaveLength(3);
  outlines.forEach((o, k) => agree(o.vertices, expectedOf(k)));
  const holes = cut.filter((e) => e.type === 'CIRCLE') as unknown as { center: Corner; radius: number }[];
  expect(holes.map((h) => [h.center.x, h.center.y, h.radius])).toEqual([
    [0, MIDDLES[0], 5.25],
    [0, MIDDLES[1], 5.25],
  ]);
  expect(dxf.header.$INSUNITS).toBe(4);
});

test('another program reads the SVG templates as they were drawn, at true size', () => {
  const svg = templateSvg(LEAVES);
  const paths = [...svg.matchAll(/class="cut" d="([^"]+)"/g)].map((m) => {
    const corners: Corner[] = [];
    svgpath(m[1]!)
      .abs()
      .iterate(([command, x, y]) => {
        if (command !== 'Z') corners.push({ x: Number(x), y: -Number(y) });
      });
    return corners;
  });
  paths.forEach((corners, k) => agree(corners, expectedOf(k)));
  const [, width] = /width="([\d.]+)mm"/.exec(svg)!;
  const [, box] = /viewBox="([^"]+)"/.exec(svg)!;
  expect(Number(width)).toBeCloseTo(Number(box!.split(' ')[2]), 6);
  expect(Number(width)).toBeCloseTo(613.4 + 654.2 + 10, 1);
});
