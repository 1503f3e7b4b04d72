import { defineConfig } from '@playwright/test';

/** Browser tests against a production build on a database of its own; one worker, since two cores carry server, jobs and browser. */
export default defineConfig({
  testDir: 'tests/browser',
  globalSetup: './tests/browser/setup.ts',
  workers: 1,
  // Once more on a machine that others share; what passes only then is printed as flaky.
  retries: 1,
  timeout: 300_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ['json']],
  use: {
    actionTimeout: 45_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
