import { onTestFailed } from 'vitest';
import type { HouseRuleId } from '../rules/houseRules.ts';
import { HOUSE_RULES } from '../rules/ruleTable.ts';

/** Called in a worked example: when it fails, it says on which house rules it rests, each with default and reason. */
export function restsOn(...rules: readonly HouseRuleId[]): void {
  onTestFailed(({ task }) => {
    const [first] = task.result?.errors ?? [];
    if (first) first.message += `\n\n${basisInWords(rules)}`;
  });
}

/** What an example rests on, a line for each house rule. */
export function basisInWords(rules: readonly HouseRuleId[]): string {
  const lines = rules.map((id) => {
    const { label, unit, default: value, why } = HOUSE_RULES[id];
    return `  ${id} (${label}: ${value} ${unit}). ${why}`;
  });
  return ['This example rests on the house rules', ...lines].join('\n');
}
