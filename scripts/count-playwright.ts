// Leaves `passed failed` for scripts/test.sh.
import { writeFileSync } from 'node:fs';
import { type FullResult, type Reporter, type TestCase } from '@playwright/test/reporter';

export default class CountReporter implements Reporter {
  private readonly cases = new Set<TestCase>();
  private errors = 0;

  onTestEnd(test: TestCase): void {
    this.cases.add(test);
  }

  onError(): void {
    this.errors += 1;
  }

  onEnd(result: FullResult): void {
    const passed = [...this.cases].filter((test) => test.outcome() === 'expected').length;
    const failed = this.cases.size - passed + this.errors;
    const none = passed + failed === 0 || (result.status !== 'passed' && failed === 0) ? 1 : 0;
    if (process.env.COUNT_FILE) writeFileSync(process.env.COUNT_FILE, `${passed} ${failed + none}\n`);
  }
}
