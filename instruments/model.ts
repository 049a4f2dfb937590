import { normal, type Uniform } from '@/core/estimate/estimate';

/** How an instrument misbehaves. */
export type Fault = 'none' | 'silent' | 'garbled' | 'cutOff';

export interface Behaviour {
  /** What there is to measure, core units. */
  truth: number;
  /** Standard deviation of one reading, core units. */
  noise: number;
  /** Time in which a change settles to a third, s. */
  settling: number;
  /** Zero wandering per second, core units. */
  drift: number;
}

/** One simulated gauge: settles on its truth with noise, wanders, and can be zeroed. Steps on its caller's clock. */
export class Gauge {
  private shown = 0;
  private wandered = 0;
  private zero = 0;

  constructor(
    private readonly is: Behaviour,
    private readonly uniform: Uniform,
  ) {}

  /** @param seconds since the last step */
  step(seconds: number): { value: number; settled: boolean } {
    this.wandered += this.is.drift * seconds;
    this.shown += (this.is.truth - this.shown) * (1 - Math.exp(-seconds / this.is.settling));
    const off = Math.abs(this.is.truth - this.shown);
    return {
      value: this.shown + this.wandered - this.zero + this.is.noise * normal(this.uniform),
      settled: off < Math.max(2 * this.is.noise, 1e-3 * Math.abs(this.is.truth)),
    };
  }

  /** Takes what it has wandered as nothing; whatever lies on it must be off. */
  tare(): void {
    this.zero = this.wandered;
  }

  /** The same thing is put on again, or another one. */
  load(truth: number): void {
    this.is.truth = truth;
    this.shown = 0;
  }
}
