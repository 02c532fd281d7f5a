// npm test: installs what is missing, then types, lint, import rules, unit tests, and browser tests against a production
// build. Ends with one plain line of counts; each check that is no test counts as one failure when it fails.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumPath, PACKAGE } from './chromium.mjs';
import { missingFiles } from './docs-names.mjs';
import { buildWhatChanged, installWhatIsMissing, run } from './steps.mjs';

const reports = mkdtempSync(join(tmpdir(), 'turnspit-test-'));
const node = (...args) => run(process.execPath, args);
const totals = { passed: 0, failed: 0 };

if (!installWhatIsMissing()) fail('npm ci failed');
check('types', () => node('node_modules/typescript/bin/tsc', '--noEmit'));
check('lint', () =>
  node('node_modules/@biomejs/biome/bin/biome', 'check', '--error-on-warnings', '.'),
);
check('import rules', importRulesHold);
check('unused packages', () =>
  node('node_modules/knip/bin/knip.js', '--include', 'files,dependencies,unlisted'),
);
check('files that the documents name', documentsAreTrue);
add(unitTests());
if (!haveChromium())
  fail(
    `The browser tests need Chromium at ${chromiumPath()}. On Debian: apt-get install ${PACKAGE}, as root; or set CHROMIUM to where it is.`,
  );
if (!buildWhatChanged()) fail('the production build failed');
add(browserTests());
end();

function check(name, holds) {
  if (holds()) return;
  totals.failed += 1;
  console.log(`${name}: failed`);
}

/** dependency-cruiser finds nothing, and passes, where it can't read TypeScript: so the count of modules is looked at, too. */
function importRulesHold() {
  const ran = spawnSync(
    process.execPath,
    ['node_modules/dependency-cruiser/bin/dependency-cruise.mjs', 'src'],
    { encoding: 'utf8' },
  );
  process.stdout.write(ran.stdout + ran.stderr);
  return ran.status === 0 && Number(/\((\d+) modules/.exec(ran.stdout)?.[1] ?? 0) > 100;
}

function documentsAreTrue() {
  const missing = missingFiles();
  for (const line of missing) console.log(`There is no such file. ${line}`);
  return missing.length === 0;
}

function unitTests() {
  const file = join(reports, 'unit.json');
  const isGreen = node(
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${file}`,
    '--silent',
  );
  const found = readReport(file);
  const failed = (found?.numFailedTests ?? 1) + (found?.numRuntimeErrorTestSuites ?? 0);
  return { passed: found?.numPassedTests ?? 0, failed: isGreen ? failed : Math.max(1, failed) };
}

function haveChromium() {
  if (existsSync(chromiumPath())) return true;
  if (process.getuid?.() !== 0 || process.env.CHROMIUM !== undefined) return false;
  const install = () =>
    run('apt-get', ['install', '-y', '--no-install-recommends', PACKAGE], {
      DEBIAN_FRONTEND: 'noninteractive',
    });
  return (install() || (run('apt-get', ['update']) && install())) && existsSync(chromiumPath());
}

function browserTests() {
  const file = join(reports, 'browser.json');
  const isGreen = run(process.execPath, ['node_modules/@playwright/test/cli.js', 'test'], {
    E2E_REPORT: file,
  });
  const stats = readReport(file)?.stats;
  const failed = stats?.unexpected ?? 1;
  if (stats?.flaky)
    console.log(
      `Passed only at the second go, and named above: ${stats.flaky} of the browser tests.`,
    );
  return {
    passed: (stats?.expected ?? 0) + (stats?.flaky ?? 0),
    failed: isGreen ? failed : Math.max(1, failed),
  };
}

function readReport(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
}

function add({ passed, failed }) {
  totals.passed += passed;
  totals.failed += failed;
}

function fail(why) {
  console.log(why);
  totals.failed += 1;
  end();
}

function end() {
  console.log(`${totals.passed} passed, ${totals.failed} failed`);
  process.exit(totals.failed > 0 ? 1 : 0);
}
