import { expect, it } from 'vitest';
import { HOUSE_RULES } from './ruleTable.ts';
import { RULE_GROUPS } from './ruleGroups.ts';

it('every house rule is in one group, and in one only', () => {
  const grouped = RULE_GROUPS.flatMap((g) => g.ids);
  expect(grouped.toSorted()).toEqual(Object.keys(HOUSE_RULES).toSorted());
  expect(new Set(grouped).size).toBe(grouped.length);
});
