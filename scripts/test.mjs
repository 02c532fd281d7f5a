// Installs what is missing, then types and unit tests; ends with one plain line of counts.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const run = (command, args) => spawnSync(command, args, { stdio: 'inherit' }).status ?? 1;

if (!existsSync('node_modules/.package-lock.json') && run('npm', ['ci']) !== 0) process.exit(1);
const typesFailed = run('node', ['node_modules/typescript/bin/tsc', '--noEmit']) !== 0;
const report = join(mkdtempSync(join(tmpdir(), 'turnspit-')), 'jest.json');
run('node', ['node_modules/jest/bin/jest.js', '--json', `--outputFile=${report}`, '--silent']);
const found = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : { numPassedTests: 0, numFailedTests: 1, success: false };
const failed = found.numFailedTests + (found.numRuntimeErrorTestSuites ?? 0) + Number(typesFailed);
console.log(`${found.numPassedTests} passed, ${failed} failed`);
process.exit(failed > 0 || !found.success ? 1 : 0);
