import { writeFileSync } from 'node:fs';
import { relative } from 'node:path';
import type { Reporter, TestCase } from 'vitest/node';
import { ROOT } from './dataFolder.ts';

/** Reporter of Vitest: writes the names of tests that passed only at a later try, so that they are told. */
export default class SecondTries implements Reporter {
  private readonly names: string[] = [];

  onTestCaseResult(test: TestCase): void {
    if (test.diagnostic()?.flaky)
      this.names.push(`${relative(ROOT, test.module.moduleId)}: ${test.fullName}`);
  }

  onTestRunEnd(): void {
    const file = process.env['SECOND_TRIES_FILE'];
    if (file) writeFileSync(file, JSON.stringify(this.names));
  }
}
