import { requireNumber } from '../errors';
import { GRAVITY } from '../material/steel';

/** How the share of critical damping changes with the rate, the shock as it is: it goes by one over its square root. @param was @param now N/mm */
export function dampingChange(was: number, now: number): number {
  requireNumber('was', was, 0.5, 5000);
  requireNumber('now', now, 0.5, 5000);
  return Math.sqrt(was / now) - 1;
}

/**
 * Share of critical damping of one corner: c / 2√(k·m), tyre left out. @param damping N·s/mm at the wheel, mean of both ways (0.05–50)
 * @param rate N/mm at the wheel @param load on the spring, N
 */
export function criticalShare(damping: number, rate: number, load: number): number {
  requireNumber('damping', damping, 0.05, 50);
  requireNumber('rate', rate, 0.5, 5000);
  requireNumber('load', load, 50, 500_000);
  const mass = load / GRAVITY;
  return (damping * 1000) / (2 * Math.sqrt(rate * 1000 * mass));
}
