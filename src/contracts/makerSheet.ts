import { formedLeaf } from '@/core/bench/leafToMake';

/** A leaf that a spring maker is to make. Lengths mm. */
export interface LeafOrder {
  front: number;
  rear: number;
  thickness: number;
  width: number | null;
  /** Lying free, string across its tips. */
  camber: number;
  /** Formed straight over the seat by its maker; undefined where it is one even arc. */
  flat?: number | undefined;
  /** For the centre bolt. */
  hole: number | null;
  eyes: string | null;
  ends: string | null;
  pieces: number;
}

/** Whose sheet it is. */
export interface OrderHead {
  /** Vehicle and axle, or the pack on the bench. */
  for: string;
  day: string;
}

const PAGE = { width: 297, height: 210, edge: 14 } as const;
/** The drawing is one of these times smaller than the leaf. */
const SCALES = [1, 2, 2.5, 4, 5, 7.5, 10] as const;
const ORDINATES = 100;

const mm = (v: number): string => String(Number(v.toFixed(1)));
const escaped = (text: string): string => text.replace(/[&<>]/g, (c) => `&#${c.charCodeAt(0)};`);

/** A leaf to be made, for the spring maker: drawn to scale with everything he works to, on one landscape page; SVG in millimetres. */
export function makerSheet(order: LeafOrder, head: OrderHead): string {
  const { front, rear, thickness, width, camber, flat, hole } = order;
  const formed = formedLeaf(front, rear, camber, flat, ORDINATES);
  const room = PAGE.width - 2 * PAGE.edge;
  const scale = SCALES.find((s) => formed.chord / s <= room) ?? SCALES.at(-1)!;
  const xs = formed.line.map((p) => p.x / scale);
  const left = PAGE.edge + (room - (Math.max(...xs) - Math.min(...xs))) / 2 - Math.min(...xs);
  const tops = formed.line.map((p) => p.y / scale);
  const base = 52 + Math.max(...tops);
  const at = ({ x, y }: { x: number; y: number }) => `${mm(left + x / scale)} ${mm(base - y / scale)}`;
  const [a, b] = [formed.line[0]!, formed.line.at(-1)!];
  const text = (x: number, y: number, words: string, more = '') =>
    `<text x="${mm(x)}" y="${mm(y)}" ${more}>${escaped(words)}</text>`;
  const below = base + thickness / scale + 12;
  const measure = (from: number, to: number, words: string) => [
    `<path class="thin" d="M${mm(from)} ${mm(below)}H${mm(to)}M${mm(from)} ${mm(below - 2)}v4M${mm(to)} ${mm(below - 2)}v4"/>`,
    text((from + to) / 2, below - 1.5, words, 'text-anchor="middle"'),
  ];
  const told = (value: number | string | null, unit = ' mm') => (value === null ? '__________' : `${value}${unit}`);
  const rows: [string, string][] = [
    ['pieces', String(order.pieces)],
    ['along the leaf, hole to front tip', told(mm(front))],
    ['along the leaf, hole to rear tip', told(mm(rear))],
    ['length over all, along the leaf', told(mm(formed.arc))],
    ['width', told(width === null ? null : mm(width))],
    ['thickness', told(mm(thickness))],
    ['free camber, string across the tips', told(mm(camber))],
    ['string across the tips', told(mm(formed.chord))],
    ['radius of the middle of the leaf', formed.radius === null ? 'straight' : told(formed.radius.toFixed(0))],
    ['formed straight over the seat', formed.flat > 0 ? told(mm(formed.flat)) : 'none: one even arc'],
    ['centre bolt’s hole, made before hardening', told(hole === null ? null : mm(hole))],
    ['eyes', order.eyes ?? '__________'],
    ['ends', order.ends ?? '__________'],
    ['steel and heat treatment', '__________'],
    ['camber read before or after setting', '__________'],
  ];
  const table = below + 16;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${PAGE.width}mm" height="${PAGE.height}mm" viewBox="0 0 ${PAGE.width} ${PAGE.height}">`,
    '<style>text{font:4px sans-serif}.big{font-size:7px;font-weight:600}.leaf{fill:none;stroke:#000;stroke-width:.5}.thin{fill:none;stroke:#000;stroke-width:.2}.string{fill:none;stroke:#000;stroke-width:.2;stroke-dasharray:3 2}</style>',
    `<rect width="${PAGE.width}" height="${PAGE.height}" fill="#fff"/>`,
    text(PAGE.edge, 18, 'Spring leaf to be made', 'class="big"'),
    text(PAGE.edge, 26, `${head.for}. ${head.day}. Drawn 1 : ${scale}, lying free; all figures in millimetres.`),
    `<path class="string" d="M${at(a)}L${at(b)}"/>`,
    // Both faces of the leaf about its middle line.
    ...[-0.5, 0.5].map(
      (side) =>
        `<path class="leaf" d="${formed.line.map((p, k) => `${k === 0 ? 'M' : 'L'}${at({ x: p.x, y: p.y + side * thickness })}`).join('')}"/>`,
    ),
    `<path class="thin" d="M${at({ x: 0, y: thickness * 2 })}L${at({ x: 0, y: -thickness * 2 })}"/>`,
    text(left + a.x / scale, base - a.y / scale - 4, 'front'),
    ...measure(left + a.x / scale, left, `${mm(front)} along`),
    ...measure(left, left + b.x / scale, `${mm(rear)} along`),
    ...rows.flatMap(([name, value], k) => [
      text(PAGE.edge, table + 6 * k, name),
      text(PAGE.edge + 95, table + 6 * k, value),
    ]),
    text(PAGE.edge + 150, table, 'from the string down to the leaf, along the string from over the hole'),
    ...formed.ordinates.flatMap(({ along, drop }, k) => {
      const [x, y] = [PAGE.edge + 150 + 48 * Math.floor(k / 13), table + 6 * (1 + (k % 13))];
      const where = along === 0 ? 'hole' : `${along < 0 ? 'front' : 'rear'} ${Math.abs(along)}`;
      return [text(x, y, where), text(x + 24, y, mm(drop))];
    }),
    text(
      PAGE.edge,
      PAGE.height - 8,
      'What it may carry is not known from these figures. A finished leaf is never heated, welded or drilled.',
    ),
    '</svg>',
    '',
  ].join('\n');
}
