// Which browser the tests, pictures and timings drive.
import { existsSync } from 'node:fs';

// The shell has no tabs and menus of its own to draw, which cost a second for every page that is opened.
const DEBIANS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];
export const PACKAGE = 'chromium-headless-shell';

/** Where Debian's headless Chromium is; where it would be, if it is not there yet. */
export function chromiumPath() {
  return process.env.CHROMIUM ?? DEBIANS.find(path => existsSync(path)) ?? DEBIANS[0];
}
