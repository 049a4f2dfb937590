import fc from 'fast-check';
import { spread } from './spread';

test('property: nothing touches, the order stays, and what has room stays where it was wished', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 1, maxLength: 12 }), (wished) => {
      const room = { least: 20, most: 1000 };
      const places = spread(wished, 46, room);
      const order = wished.map((_, k) => k).toSorted((p, q) => places[p]! - places[q]!);
      order.slice(1).forEach((k, n) => expect(places[k]! - places[order[n]!]!).toBeGreaterThanOrEqual(46));
      order.slice(1).forEach((k, n) => expect(wished[k]!).toBeGreaterThanOrEqual(wished[order[n]!]!));
      expect(Math.min(...places)).toBeGreaterThanOrEqual(room.least);
      if (wished.length === 1) expect(places[0]).toBe(Math.max(room.least, wished[0]!));
    }),
  );
});
