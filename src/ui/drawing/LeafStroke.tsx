interface Props {
  d: string;
  /** Thickness of the leaf on the screen, px. */
  thick: number;
  stroke: string;
  /** An added leaf is left hollow. */
  hollow: boolean;
}

/** A leaf at its true thickness: outlined, filled with the wash of what is there or hollow when it is new. */
export const LeafStroke = ({ d, thick, stroke, hollow }: Props) => (
  <>
    <path d={d} fill="none" stroke={stroke} strokeWidth={thick} />
    <path
      d={d}
      fill="none"
      stroke={hollow ? 'var(--sheet)' : 'var(--new-wash)'}
      strokeWidth={Math.max(0.8, thick - 3)}
    />
  </>
);

/** Thickness of a leaf on the screen, never too thin to be seen, px. */
export const leafThick = (thickness: number, perMm: number): number => Math.max(2.4, thickness * perMm);
