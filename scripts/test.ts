import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './dataFolder.ts';

// npm test: every check one after the other, and one line at the end that adds them all up.
const bin = (name: string) => join(ROOT, 'node_modules/.bin', name);
const reports = join(ROOT, '.e2e/reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

let passed = 0;
let failed = 0;

function run(title: string, command: string, args: readonly string[]): boolean {
  console.log(`\n== ${title}`);
  const done = spawnSync(bin(command), args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_FILE: join(reports, 'browser.json') },
  });
  return done.status === 0;
}

/** A check without tests of its own counts as one. */
function check(title: string, command: string, args: readonly string[]): boolean {
  const ok = run(title, command, args);
  if (ok) passed++;
  else failed++;
  return ok;
}

/** Adds a runner's own numbers; a runner that fails without a failed test counts as one failure. */
function tests(
  title: string,
  command: string,
  args: readonly string[],
  read: () => { passed: number; failed: number },
): void {
  const ok = run(title, command, args);
  let counted = { passed: 0, failed: 0 };
  try {
    counted = read();
  } catch {
    counted.failed = ok ? 0 : 1;
  }
  passed += counted.passed;
  failed += counted.failed;
  if (!ok && counted.failed === 0) failed++;
  if (ok && counted.passed === 0) {
    console.error(`${title}: no test was run`);
    failed++;
  }
}

const report = (name: string) =>
  JSON.parse(readFileSync(join(reports, name), 'utf8')) as Record<string, number & Record<string, number>>;

check('Lint', 'oxlint', ['--type-aware']);
check('Nothing unused', 'knip', []);
check('Format', 'prettier', ['--check', '--log-level', 'warn', '.']);
check('Types', 'tsc', ['-b']);
tests(
  'Unit and API tests',
  'vitest',
  ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(reports, 'unit.json')}`],
  () => {
    const unit = report('unit.json');
    return { passed: unit['numPassedTests'] ?? 0, failed: unit['numFailedTests'] ?? 0 };
  },
);
if (
  check('Production build', 'vite', ['build', 'web', '--logLevel', 'warn', '--config', 'web/vite.config.ts'])
) {
  check('First load', 'tsx', ['scripts/firstLoad.ts']);
  tests('Browser tests', 'playwright', ['test'], () => {
    const stats = report('browser.json')['stats'];
    return {
      passed: (stats?.['expected'] ?? 0) + (stats?.['flaky'] ?? 0),
      failed: stats?.['unexpected'] ?? 0,
    };
  });
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
