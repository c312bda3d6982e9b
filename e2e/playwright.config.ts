import { defineConfig } from '@playwright/test';
import { chromiumPath } from '../scripts/machine.mjs';

/** Where the demo studio is. */
export const HALL_TIME_ZONE = 'Europe/Amsterdam';

export default defineConfig({
  testDir: '.',
  // Pictures for the documents are taken when asked for, not with every test.
  testIgnore: process.env['PICTURES'] ? [] : ['pictures.spec.ts'],
  timeout: 90_000,
  expect: { timeout: 12_000 },
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: process.env['PLAYWRIGHT_JSON_OUTPUT_FILE'] ?? 'test-results/results.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    // The coach's device is where the demo's hall is, so that today is one day.
    timezoneId: HALL_TIME_ZONE,
    // Stored screens and shell would hide what a change broke; the one test of them turns them on.
    serviceWorkers: 'block',
    // A trace tells most and takes a third of the time: TRACE=1 records one of what fails.
    trace: process.env['TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    // A clock in the test's hands draws every frame of what moves: pictures hold still, but where motion is looked at.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: chromiumPath(),
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Hands in space are drawn by the processor here: their own tests turn them on, all others have the flat drawing.
        '--disable-3d-apis',
      ],
    },
  },
});
