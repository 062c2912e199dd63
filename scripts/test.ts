import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ROOT } from './dataFolder.ts';

// npm test: every check one after the other, and one line at the end that adds them all up.
const bin = (name: string) => join(ROOT, 'node_modules/.bin', name);
const reports = join(ROOT, '.e2e/reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

let passed = 0;
let failed = 0;
/** What failed, by name: it is said again at the end, where it is found. */
const faults: string[] = [];
/** What passed only when it was run again. */
const again: string[] = [];
const secondTries = join(reports, 'secondTries.json');

function run(title: string, command: string, args: readonly string[]): boolean {
  console.log(`\n== ${title}`);
  const done = spawnSync(bin(command), args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: {
      ...process.env,
      PLAYWRIGHT_JSON_OUTPUT_FILE: join(reports, 'browser.json'),
      SECOND_TRIES_FILE: secondTries,
    },
  });
  return done.status === 0;
}

/** A check without tests of its own counts as one. */
function check(title: string, command: string, args: readonly string[]): boolean {
  const ok = run(title, command, args);
  if (ok) passed++;
  else {
    failed++;
    faults.push(title);
  }
  return ok;
}

/** How a runner went, and what failed in it by name. */
interface Counted {
  readonly passed: number;
  readonly failed: number;
  readonly names: readonly string[];
  readonly again: readonly string[];
}

/** Adds a runner's own numbers; a runner that fails without a failed test counts as one failure. */
function tests(title: string, command: string, args: readonly string[], read: () => Counted): void {
  const ok = run(title, command, args);
  let counted: Counted = { passed: 0, failed: 0, names: [], again: [] };
  try {
    counted = read();
  } catch {
    counted = { passed: 0, failed: ok ? 0 : 1, names: [], again: [] };
  }
  if (!ok) faults.push(...(counted.names.length > 0 ? counted.names : [title]));
  again.push(...counted.again);
  passed += counted.passed;
  failed += counted.failed;
  if (!ok && counted.failed === 0) failed++;
  if (ok && counted.passed === 0) {
    console.error(`${title}: no test was run`);
    failed++;
  }
}

const reportOf = (name: string): unknown => JSON.parse(readFileSync(join(reports, name), 'utf8'));

interface UnitReport {
  readonly numPassedTests: number;
  readonly numFailedTests: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly assertionResults: readonly { readonly status: string; readonly fullName: string }[];
  }[];
}

interface BrowserSuite {
  readonly title: string;
  readonly specs?: readonly {
    readonly title: string;
    readonly tests: readonly { readonly status: string }[];
  }[];
  readonly suites?: readonly BrowserSuite[];
}

interface BrowserReport {
  readonly suites: readonly BrowserSuite[];
  readonly stats: { readonly expected: number; readonly flaky: number; readonly unexpected: number };
}

/** The tests of a suite and of those in it that went one way: "unexpected" failed, "flaky" passed at a later try. */
const thatWere = (status: string, { title, specs = [], suites = [] }: BrowserSuite): string[] => [
  ...specs.filter((s) => s.tests.some((t) => t.status === status)).map((s) => `${title}: ${s.title}`),
  ...suites.flatMap((s) => thatWere(status, s)),
];

check('Lint', 'oxlint', ['--type-aware']);
check('Nothing unused', 'knip', []);
check('Format', 'prettier', ['--check', '--log-level', 'warn', '.']);
check('Types', 'tsc', ['-b']);
tests(
  'Unit and API tests',
  'vitest',
  [
    'run',
    '--reporter=default',
    '--reporter=json',
    '--reporter=./scripts/secondTries.ts',
    `--outputFile.json=${join(reports, 'unit.json')}`,
  ],
  () => {
    const unit = reportOf('unit.json') as UnitReport;
    return {
      passed: unit.numPassedTests,
      failed: unit.numFailedTests,
      names: unit.testResults.flatMap((file) =>
        file.assertionResults
          .filter((t) => t.status === 'failed')
          .map((t) => `${relative(ROOT, file.name)}: ${t.fullName}`),
      ),
      again: JSON.parse(readFileSync(secondTries, 'utf8')) as string[],
    };
  },
);
if (
  check('Production build', 'vite', ['build', 'web', '--logLevel', 'warn', '--config', 'web/vite.config.ts'])
) {
  check('First load', 'tsx', ['scripts/firstLoad.ts']);
  tests('Browser tests', 'playwright', ['test'], () => {
    const { stats, suites } = reportOf('browser.json') as BrowserReport;
    return {
      passed: stats.expected + stats.flaky,
      failed: stats.unexpected,
      names: suites.flatMap((s) => thatWere('unexpected', s)),
      again: suites.flatMap((s) => thatWere('flaky', s)),
    };
  });
}

for (const name of again) console.log(`passed when it was run again: ${name}`);
for (const fault of faults) console.log(`failed: ${fault}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
