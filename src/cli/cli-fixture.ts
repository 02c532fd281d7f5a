import { type SpawnSyncReturns, spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildSync } from 'esbuild';

/** The command line as a test runs it. */
export interface BundledCli {
  readonly run: (
    args: readonly string[],
    env?: Readonly<Record<string, string>>,
  ) => SpawnSyncReturns<string>;
}

/** Bundles the command line once for a test file, since to compile it anew at each call took a second of every test. Call it at the top. */
export function bundledCli(name: string): BundledCli {
  // It lies where its packages are found.
  const bundle = join('node_modules', '.cache', `${name}-${process.pid}.mjs`);
  beforeAll(() => {
    buildSync({
      entryPoints: ['src/cli/main.ts'],
      outfile: bundle,
      bundle: true,
      external: ['better-sqlite3', 'knex', 'sharp'],
      platform: 'node',
      format: 'esm',
      banner: {
        js: "import { createRequire as requireOf } from 'node:module'; const require = requireOf(import.meta.url);",
      },
      logLevel: 'error',
    });
  });
  afterAll(() => rmSync(bundle, { force: true }));
  return {
    run: (args, env = {}) =>
      spawnSync(process.execPath, [bundle, ...args], {
        encoding: 'utf8',
        env: { ...process.env, ...env },
      }),
  };
}
