// The steps that several commands share: install what is missing, build what changed, serve.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';

const NEXT = 'node_modules/next/dist/bin/next';

/** Runs a command with its output on this terminal. @returns whether it ended well */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  return status === 0;
}

export function installWhatIsMissing() {
  const isInstalled =
    existsSync('node_modules/.package-lock.json') &&
    statSync('node_modules/.package-lock.json').mtimeMs >= statSync('package-lock.json').mtimeMs;
  if (isInstalled) return true;
  console.log(
    'Installing packages; the database driver is compiled, which takes some minutes the first time.',
  );
  return run('npm', ['ci', '--no-audit', '--no-fund']);
}

export function buildWhatChanged() {
  const built = existsSync('.next/BUILD_ID') ? statSync('.next/BUILD_ID').mtimeMs : 0;
  const newest = Math.max(
    ...['src', 'package-lock.json', 'next.config.ts', 'tsconfig.json'].map(newestIn),
  );
  if (newest < built) return true;
  // Built over the remains of an earlier version, the error page once came out of two of them and the build failed.
  rmSync('.next', { recursive: true, force: true });
  return run(process.execPath, [NEXT, 'build'], { NEXT_TELEMETRY_DISABLED: '1' });
}

function newestIn(path) {
  const found = statSync(path);
  if (!found.isDirectory()) return found.mtimeMs;
  return Math.max(found.mtimeMs, ...readdirSync(path).map(name => newestIn(join(path, name))));
}

/** Serves on this machine alone unless HOST says otherwise, and hands on the signals that end it. */
export async function serve() {
  const host = process.env.HOST ?? '127.0.0.1';
  const port = process.env.PORT ?? '4321';
  if (await isTaken(host, Number(port))) {
    console.error(
      `Something listens on port ${port} already, perhaps Turnspit itself. End it, or choose another: PORT=4322.`,
    );
    process.exit(1);
  }
  const server = spawn(process.execPath, [NEXT, 'start', '-H', host, '-p', port], {
    stdio: ['inherit', 'ignore', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', status => process.exit(status ?? 0));
  sayWhenReady(`http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`);
}

function isTaken(host, port) {
  return new Promise(resolve => {
    const probe = connect({ host, port });
    probe.on('connect', () => {
      probe.destroy();
      resolve(true);
    });
    probe.on('error', () => resolve(false));
  });
}

async function sayWhenReady(address) {
  while (
    !(await fetch(address).then(
      answer => answer.ok,
      () => false,
    ))
  )
    await new Promise(resolve => setTimeout(resolve, 100));
  console.log(`Turnspit is at ${address} (Ctrl+C ends it).`);
}
