import { defineConfig } from '@playwright/test';

const minuteMs = 60_000;

/** Browser tests: real interface, real server, real database. Run by `npm test`, which brings those up. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 5 * minuteMs,
  expect: { timeout: 45_000 },
  fullyParallel: false,
  workers: 1,
  // On a machine that stalls, one test of a long run may lose its browser; `npm test` names each that needed this.
  retries: 1,
  forbidOnly: true,
  outputDir: './test-results',
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    contextOptions: { reducedMotion: 'reduce' },
    trace: 'off',
    // An action that hangs says where it did, long before the test's own time is up.
    actionTimeout: minuteMs,
    launchOptions: {
      executablePath: process.env['VITRUM_CHROMIUM'] ?? '/usr/bin/chromium',
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
