import { Flex } from '@chakra-ui/react';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import type { Yard } from '@incremen/core/records';
import { FlowChoice } from '../../shared/weather/FlowChoice.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Select } from '../../ui/Select.tsx';
import type { useOutside } from '../../shared/weather/useOutside.ts';
import common from '../../ui/common.module.css';

/** What remedies depend on: nights, flow, and the day on which they are compared. */
export function OutsideChoices({
  outside,
  today,
  frost,
  on,
  onDay,
  yards,
}: {
  readonly outside: ReturnType<typeof useOutside>;
  readonly today: Day;
  readonly frost: Day;
  readonly on: Day;
  readonly onDay: (day: Day) => void;
  /** Where the colonies in question stand. */
  readonly yards: readonly Yard[];
}) {
  const days = [
    [addDays(today, 21), 'judged in three weeks'],
    [addDays(today, 42), 'judged in six weeks'],
    [addDays(today, 84), 'judged in twelve weeks'],
    [frost, 'judged before winter'],
  ] as const;
  const options = days
    .filter(([d]) => d <= frost)
    .map(([d, words]) => [d, `${words}, ${dayInWords(d)}`] as const);
  const known = options.some(([d]) => d === on);
  return (
    <Flex gap={5} wrap="wrap" align="flex-end" mb={5} className={common.noPrint}>
      <Choice
        label="Nights to come"
        value={outside.shownNights}
        options={[
          { id: 'mild', label: 'Mild' },
          { id: 'cold', label: 'Cold' },
        ]}
        onChange={outside.setNights}
      />
      {yards.map((yard) => (
        <FlowChoice key={yard.id} yard={yard} named={yards.length > 1} />
      ))}
      <Select
        label="Compared on"
        fit
        value={on}
        options={known ? options : [[on, dayInWords(on)] as const, ...options]}
        onChange={onDay}
      />
    </Flex>
  );
}
