/** Runs a generator of the core to its end. */
export function finish<T>(generator: Generator<unknown, T>): T {
  for (;;) {
    const step = generator.next();
    if (step.done) return step.value;
  }
}
