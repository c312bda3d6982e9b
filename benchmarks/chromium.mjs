import { chromium } from 'playwright-core';
import { chromiumPath } from '../scripts/machine.mjs';

/** The browser that benches run in: quiet, so that it disturbs what is timed as little as can be. @param more switches of its command line */
export const launch = (more = []) =>
  chromium.launch({
    executablePath: chromiumPath(),
    args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update', '--disable-sync', ...more],
  });
