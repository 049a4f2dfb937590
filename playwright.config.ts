import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/e2e/chromium';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: '.gravelwort-test/e2e',
  workers: 1,
  retries: 0,
  forbidOnly: true,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['./scripts/count-playwright.ts']],
  use: {
    launchOptions: CHROMIUM,
    // An action that waits this long waits for something that will not come.
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' },
    trace: 'retain-on-failure',
  },
});
