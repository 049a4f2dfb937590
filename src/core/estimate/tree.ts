import { type Estimate } from './estimate';

/** The same tree with every estimate replaced by a number. */
export type Drawn<T> = T extends Estimate
  ? number
  : T extends (infer U)[]
    ? Drawn<U>[]
    : T extends object
      ? { [K in keyof T]: Drawn<T[K]> }
      : T;

const isEstimate = (node: object): node is Estimate => 'half90' in node;

/** Replaces every estimate in a tree by the number `pick` gives for it. The path names it, e.g. `pack.leaves.2.thickness`. */
export function draw<T>(tree: T, pick: (estimate: Estimate, path: string) => number, path = ''): Drawn<T> {
  if (tree === null || typeof tree !== 'object') return tree as Drawn<T>;
  if (isEstimate(tree)) return pick(tree, path) as Drawn<T>;
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`);
  if (Array.isArray(tree)) return tree.map((node: unknown, i) => draw(node, pick, at(i))) as Drawn<T>;
  return Object.fromEntries(
    Object.entries(tree).map(([key, node]) => [key, draw(node as unknown, pick, at(key))]),
  ) as Drawn<T>;
}

export interface NamedEstimate {
  path: string;
  estimate: Estimate;
}

/** All estimates of a tree with their paths. */
export function estimatesOf(tree: unknown): NamedEstimate[] {
  const found: NamedEstimate[] = [];
  draw(tree, (estimate, path) => {
    found.push({ path, estimate });
    return estimate.value;
  });
  return found;
}
