import fc from 'fast-check';
import { formedLeaf } from './leafToMake';

test('a leaf of one even arc: radius by camber and chord, and its greatest drop is the camber', () => {
  const { arc, chord, radius, ordinates } = formedLeaf(430, 430, 92, undefined, 50);
  expect(arc).toBe(860);
  // Circle through both tips and the middle: R = (chord²/4 + camber²) / 2·camber.
  expect(radius!).toBeCloseTo((chord ** 2 / 4 + 92 ** 2) / (2 * 92), 0);
  expect(ordinates.find((o) => o.along === 0)!.drop).toBeCloseTo(92, 0);
  expect(ordinates.find((o) => o.along === 200)!.drop).toBeCloseTo(ordinates.find((o) => o.along === -200)!.drop, 3);
});

test('any leaf: ordinates lie on its line, the string ends on its tips, a straight middle is straight', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 150, max: 800, noNaN: true }),
      fc.double({ min: 150, max: 800, noNaN: true }),
      fc.double({ min: -40, max: 120, noNaN: true }),
      fc.double({ min: 0, max: 120, noNaN: true }),
      (front, rear, share, flat) => {
        const camber = (share * (front + rear)) / 1000;
        const { line, chord, arc, ordinates } = formedLeaf(front, rear, camber, flat, 25);
        const walked = line.slice(1).reduce((sum, p, k) => sum + Math.hypot(p.x - line[k]!.x, p.y - line[k]!.y), 0);
        expect(Math.abs(walked - arc)).toBeLessThan(0.5);
        expect(chord).toBeLessThanOrEqual(arc + 1e-6);
        // Deepest under the string by its camber, to what the places 25 mm apart can show.
        const deepest = ordinates.reduce((most, o) => (Math.abs(o.drop) > Math.abs(most) ? o.drop : most), 0);
        expect(Math.abs(deepest - camber)).toBeLessThan(1 + 0.08 * Math.abs(camber));
      },
    ),
  );
});
