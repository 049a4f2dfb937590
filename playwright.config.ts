import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/e2e/chromium';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: '.gravelwort-test/e2e',
  // Each has a server and a database of its own; two take two thirds of the time of one, and what a test does not wait for shows sooner.
  workers: Number(process.env.GRAVELWORT_E2E_WORKERS ?? 1),
  fullyParallel: true,
  retries: 0,
  forbidOnly: true,
  // Only against what hangs: a sweep over all pages takes 70 s here and twice that on a busy machine. Speed is the benches' matter.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['./scripts/count-playwright.ts']],
  use: {
    launchOptions: CHROMIUM,
    // An action that waits this long waits for something that will not come.
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    // A trace of every test doubles the time of all; `npm run test:e2e -- --trace on FILE` has one where it is wanted.
    screenshot: 'only-on-failure',
  },
});
