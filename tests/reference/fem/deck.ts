import { clampHalf, depths, reachOf, type Leaf } from '@/core/mechanics/leafpack/pack';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { type FemCase } from './cases';

/**
 * Writes a case as an input deck for CalculiX: bricks with incompatible modes, two through the thickness, a slice of the
 * width free to its side (plane stress), large displacements, face-to-face contact (penalty) between facing leaves; node-to-surface contact gave the same where it converged.
 */

/** Width of the slice, mm; forces are scaled by it. */
export const SLICE = 6.4;
const POISSON = 0.29;
/** Contact stiffness, MPa per mm of overlap. */
const PENALTY = 2e4;
/** Clear distance between leaves before they are brought together, mm. */
const APART = 0.4;

export interface FemMesh {
  deck: string;
  leaves: {
    /** Arc lengths of the sections from the pin, mm, negative in front. */
    s: number[];
    /** Node numbers of each section on the slice's first side: underside, middle, top. */
    sections: [number, number, number][];
    /** Coordinates by node number, before loading. */
    start: Map<number, { x: number; y: number }>;
  }[];
  tips: { front: number | null; rear: number };
  seat: number;
}

interface Point {
  x: number;
  y: number;
}

/** Mid-surface point and slope of a free leaf at arc length s from the pin, the pin at (0, 0): an arc, straight in its middle where formed so. */
function onArc(leaf: Leaf, s: number): Point & { slope: number } {
  const k = leaf.curvature;
  const straight = Math.min(Math.abs(s), (leaf.flat ?? 0) / 2) * Math.sign(s);
  const arc = s - straight;
  if (k === 0) return { x: s, y: 0, slope: 0 };
  return { x: straight + Math.sin(k * arc) / k, y: (1 - Math.cos(k * arc)) / k, slope: k * arc };
}

/** Section places from `from` to `to`: evenly, with the clamp edge and the tips of other leaves on a section. */
function sectionPlaces(from: number, to: number, keep: readonly number[], element: number): number[] {
  const marks = [...new Set([from, to, ...keep.filter((s) => s > from + 1 && s < to - 1)])].sort((a, b) => a - b);
  const all = [from];
  for (let k = 1; k < marks.length; k++) {
    const parts = Math.max(1, Math.round((marks[k]! - marks[k - 1]!) / element));
    for (let j = 1; j <= parts; j++) all.push(marks[k - 1]! + ((marks[k]! - marks[k - 1]!) * j) / parts);
  }
  return all;
}

/** How far each leaf must be set down so that it clears the one above before assembly, mm. */
function setDowns(fem: FemCase): number[] {
  let sum = 0;
  return fem.leaves.map((leaf, i) => {
    if (i === 0 || fem.model === 'whole') return 0;
    const above = fem.leaves[i - 1]!;
    const common = Math.min(above.rear, leaf.rear);
    let overlap = 0;
    for (let s = 0; s <= common; s += 5) overlap = Math.max(overlap, onArc(leaf, s).y - onArc(above, s).y);
    // Facets of two nested arcs overlap by a micrometre: those start apart too.
    sum += overlap === 0 && leaf.curvature === 0 ? 0 : overlap + APART;
    return sum;
  });
}

const lines = (rows: readonly (string | number)[][]): string => rows.map((row) => row.join(', ')).join('\n');

/** @param element length of an element along the leaf, mm */
export function writeDeck(fem: FemCase, element: number): FemMesh {
  const whole = fem.model === 'whole';
  const edge = clampHalf(fem.clamp);
  const depth = depths(fem.leaves);
  const down = setDowns(fem);
  const main = fem.leaves[0]!;
  const eyes = { front: onArc(main, -main.front), rear: onArc(main, main.rear) };
  // On rollers the eye line is level: a whole model starts with it level.
  const turn = whole ? -Math.atan2(eyes.rear.y - eyes.front.y, eyes.rear.x - eyes.front.x) : 0;
  const level = (p: Point): Point => ({
    x: p.x * Math.cos(turn) - p.y * Math.sin(turn),
    y: p.x * Math.sin(turn) + p.y * Math.cos(turn),
  });

  const nodes: (string | number)[][] = [];
  const elements: number[][] = [];
  const surfaces: string[] = [];
  const boundary: { fixed: (string | number)[][]; assemble: (string | number)[][] } = { fixed: [], assemble: [] };
  const clampNodes: number[] = [];
  const leaves: FemMesh['leaves'] = [];
  let node = 0;
  let brick = 0;
  fem.leaves.forEach((leaf, i) => {
    const rear = reachOf(leaf, 'rear');
    const front = whole ? reachOf(leaf, 'front') : 0;
    const marks = fem.leaves.flatMap((l) => [
      ...[reachOf(l, 'rear'), -reachOf(l, 'front')],
      // A straight middle ends on a section.
      ...(l.flat ? [l.flat / 2, -l.flat / 2] : []),
    ]);
    const places = sectionPlaces(-front, rear, [0, edge, ...marks], element);
    const sections: [number, number, number][] = [];
    const start = new Map<number, Point>();
    for (const s of places) {
      const at = onArc(leaf, s);
      const section: number[] = [];
      for (const face of [-1, 0, 1]) {
        const off = (face * leaf.thickness) / 2;
        const p = level({
          x: at.x - off * Math.sin(at.slope),
          y: at.y + off * Math.cos(at.slope) - depth[i]! - down[i]!,
        });
        for (const z of [0, SLICE]) {
          node += 1;
          nodes.push([node, p.x.toFixed(8), p.y.toFixed(8), z]);
          if (z === 0) {
            boundary.fixed.push([node, 3, 3, 0]);
            section.push(node);
            start.set(node, p);
          }
          const held = Math.abs(s) <= edge + 1e-6;
          if (!held) continue;
          if (whole) clampNodes.push(node);
          else if (edge > 0) {
            // The whole clamped length goes to its common flat place.
            boundary.assemble.push([node, 1, 1, (s - p.x).toFixed(8)]);
            boundary.assemble.push([node, 2, 2, (off - depth[i]! - p.y).toFixed(8)]);
          } else {
            boundary.fixed.push([node, 1, 1, 0]);
            if (face === 0) boundary.assemble.push([node, 2, 2, down[i]!.toFixed(8)]);
          }
        }
      }
      sections.push(section as [number, number, number]);
    }
    const first = brick;
    for (let j = 0; j + 1 < places.length; j++)
      for (const layer of [0, 1]) {
        brick += 1;
        const [a, b, c, d] = [
          sections[j]![layer]!,
          sections[j + 1]![layer]!,
          sections[j + 1]![layer + 1]!,
          sections[j]![layer + 1]!,
        ];
        elements.push([brick, a, b, c, d, a + 1, b + 1, c + 1, d + 1]);
      }
    const faces = (layer: number, face: string) =>
      Array.from({ length: places.length - 1 }, (_, j) => `${first + 2 * j + layer + 1}, ${face}`).join('\n');
    // As the program numbers the faces of a brick: S3 lies on nodes 1-2 (underside here), S5 on nodes 3-4 (top).
    surfaces.push(`*SURFACE, NAME=UNDER${i}, TYPE=ELEMENT\n${faces(0, 'S3')}`);
    surfaces.push(`*SURFACE, NAME=TOP${i}, TYPE=ELEMENT\n${faces(1, 'S5')}`);
    leaves.push({ s: places, sections, start });
  });
  // A shorter leaf above may leave the one above it facing the next: every pair that can meet.
  const pairs: string[] = [];
  for (let lower = 1; lower < fem.leaves.length; lower++)
    for (let upper = lower - 1; upper >= 0; upper--) {
      pairs.push(
        `*CONTACT PAIR, INTERACTION=STEEL, TYPE=${fem.contact === 'nodes' ? 'NODE' : 'SURFACE'} TO SURFACE\nTOP${lower}, UNDER${upper}`,
      );
      const covers = (end: 'front' | 'rear') => reachOf(fem.leaves[upper]!, end) >= reachOf(fem.leaves[lower]!, end);
      if (covers('rear') && covers('front')) break;
    }
  const tipSection = leaves[0]!.sections.at(-1)!;
  const frontSection = leaves[0]!.sections[0]!;
  const seat = leaves[0]!.sections[leaves[0]!.s.findIndex((s) => Math.abs(s) < 1e-6)]![1];
  const share = SLICE / main.width;
  const steps: string[] = [];
  const out = '*NODE FILE, FREQUENCY=100000\nU\n*EL FILE, FREQUENCY=100000\nS';
  const step = (body: string, first: number) =>
    `*STEP, NLGEOM, INC=2000\n*STATIC\n${first}, 1., 1e-7, 0.25\n*CONTROLS, PARAMETERS=FIELD\n0.005, 0.01, 0., 1.\n${body}\n${out}\n*END STEP`;
  const load = (n: number) => {
    if (whole) return `*CLOAD\nSEATREF, 2, ${(n * share).toFixed(8)}`;
    // Half of the seat load as an end force across the level eye line, spread over the end section.
    const end = (-n * share) / 2;
    const rows = tipSection.flatMap((id, k) => [0, 1].map((z) => [id + z, 2, (end * [0.25, 0.5, 0.25][k]!) / 2]));
    return `*CLOAD\n${rows.map((r) => r.join(', ')).join('\n')}`;
  };
  const rollers: (string | number)[][] = [];
  if (whole) {
    const seatAt = leaves[0]!.start.get(seat)!;
    nodes.push(
      [900001, seatAt.x.toFixed(8), seatAt.y.toFixed(8), 0],
      [900002, seatAt.x.toFixed(8), seatAt.y.toFixed(8), 0],
    );
    for (const id of [tipSection[1], tipSection[1] + 1, frontSection[1], frontSection[1] + 1])
      rollers.push([id, 2, 2, 0]);
    rollers.push(['SEATREF', 1, 1, 0], ['SEATREF', 3, 3, 0], ['SEATROT', 1, 2, 0]);
  }
  fem.loads.forEach((n, k) => {
    const assembly = k === 0 && !whole ? `*BOUNDARY\n${lines(boundary.assemble)}\n` : '';
    if (n > 0 || assembly) steps.push(step(assembly + (n > 0 ? load(n) : ''), 0.02));
  });
  const clampBody = whole
    ? `*NSET, NSET=SEATREF\n900001\n*NSET, NSET=SEATROT\n900002\n*NSET, NSET=CLAMP\n${clampNodes.join(',\n')}\n*RIGID BODY, NSET=CLAMP, REF NODE=900001, ROT NODE=900002`
    : '';
  const clamped = new Set(clampNodes);
  const fixed = boundary.fixed.filter(([id]) => !clamped.has(Number(id)));
  const deck = [
    `*HEADING\n${fem.name}, elements ${element} mm`,
    `*NODE, NSET=ALL\n${lines(nodes)}`,
    `*ELEMENT, TYPE=C3D8I, ELSET=LEAVES\n${lines(elements)}`,
    `*MATERIAL, NAME=SPRING\n*ELASTIC\n${SPRING_STEEL_E}, ${POISSON}\n*SOLID SECTION, ELSET=LEAVES, MATERIAL=SPRING`,
    clampBody,
    ...surfaces,
    `*SURFACE INTERACTION, NAME=STEEL\n*SURFACE BEHAVIOR, PRESSURE-OVERCLOSURE=LINEAR\n${PENALTY}, 1e-3, 1e-3`,
    ...pairs,
    `*BOUNDARY\n${lines([...fixed, ...rollers])}`,
    ...steps,
  ]
    .filter((part) => part !== '')
    .join('\n');
  return { deck: `${deck}\n`, leaves, tips: { front: whole ? frontSection[1] : null, rear: tipSection[1] }, seat };
}
