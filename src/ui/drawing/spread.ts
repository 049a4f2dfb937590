/**
 * Places in one row, as near to where they are wished as they can stand without touching one another, px.
 * @param wide of each @param room from where to where their middles may stand; too narrow a room is left on its right
 */
export function spread(
  wished: readonly number[],
  wide: number,
  { least, most }: { least: number; most: number },
): number[] {
  const order = wished.map((_, k) => k).toSorted((p, q) => wished[p]! - wished[q]!);
  const places = [...wished];
  let end = most;
  for (const k of order.toReversed()) {
    places[k] = Math.min(places[k]!, end);
    end = places[k]! - wide;
  }
  let begin = least;
  for (const k of order) {
    places[k] = Math.max(places[k]!, begin);
    begin = places[k]! + wide;
  }
  return places;
}
