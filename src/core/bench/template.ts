import { CoreError } from '../errors';
import { type BenchLeaf } from './benchPack';

export interface TemplatePoint {
  x: number;
  y: number;
}

/** A leaf laid out flat: x towards the rear from the centre hole, y across, mm. */
export interface LeafTemplate {
  /** Closed outline, counter-clockwise from the front end. */
  outline: TemplatePoint[];
  holes: { x: number; y: number; radius: number }[];
  /** Lines that are marked and not cut: the pin, and where the eyes' centres come. */
  marks: [TemplatePoint, TemplatePoint][];
}

/** Trimmed ends: each corner is cut by this share of the width across and 0.4 of it along. Chosen. */
const TRIM = { across: 0.25, along: 0.4 };

/**
 * Outline, centre hole and marks of a leaf, flat. Lengths are along the leaf, as they are measured from the centre hole; the stock
 * for rolling an eye is not part of it.
 * @throws CoreError `bad-input` when the width is not known
 */
export function leafTemplate(leaf: BenchLeaf): LeafTemplate {
  const { front, rear, width, hole, ends, eyes } = leaf;
  if (width === null) throw new CoreError('bad-input', 'width', 'a template needs the width of the leaf');
  const half = width / 2;
  const cut = ends === 'trimmed' ? { x: TRIM.along * width, y: TRIM.across * width } : { x: 0, y: 0 };
  const end = (x: number, towards: 1 | -1, square: boolean): TemplatePoint[] =>
    square || cut.x === 0
      ? [
          { x, y: -half * towards },
          { x, y: half * towards },
        ]
      : [
          { x: x - towards * cut.x, y: -half * towards },
          { x, y: (-half + cut.y) * towards },
          { x, y: (half - cut.y) * towards },
          { x: x - towards * cut.x, y: half * towards },
        ];
  const eyed = (which: 'front' | 'rear') => eyes === 'both' || eyes === which;
  // From the front end's lower corner round by the rear: an eye's end stays square.
  const outline = [...end(rear, 1, eyed('rear')), ...end(-front, -1, eyed('front'))];
  const across = (x: number): [TemplatePoint, TemplatePoint] => [
    { x, y: -half },
    { x, y: half },
  ];
  return {
    outline,
    holes: hole === null ? [] : [{ x: 0, y: 0, radius: hole / 2 }],
    marks: [across(0)],
  };
}
