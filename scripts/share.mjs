// npm run share: from a fresh clone to the garden on the phones of the house.
import { spawn } from 'node:child_process';
import { buildWhatChanged, installWhatIsMissing } from './steps.mjs';

if (installWhatIsMissing() && buildWhatChanged()) {
  const server = spawn(
    process.execPath,
    ['node_modules/tsx/dist/cli.mjs', 'scripts/share.ts', ...process.argv.slice(2)],
    {
      stdio: 'inherit',
      env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
    },
  );
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', status => process.exit(status ?? 0));
} else process.exitCode = 1;
