// npm run demo: from a fresh clone to the demo season in the browser.
import { buildWhatChanged, installWhatIsMissing, run, serve } from './steps.mjs';

const isReady =
  installWhatIsMissing() &&
  buildWhatChanged() &&
  run(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'src/demo/keep-demo.ts']);
if (isReady) await serve();
else process.exitCode = 1;
