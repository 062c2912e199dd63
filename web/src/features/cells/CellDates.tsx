import { Text } from '@chakra-ui/react';
import { addDays, dayInWords } from '@incremen/core/basics';
import { deliveryForDay, deliveryFromGraft } from '@incremen/core/cells';
import { useState } from 'react';
import { useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { DayInput } from '../../shared/days/DayInput.tsx';
import styles from './CellDates.module.css';

/** Bought or raised cells: every date forwards from grafting, or backwards from the day on which they are given. */
export function CellDates() {
  const today = useToday();
  const [by, setBy] = useState<'give' | 'graft'>('give');
  const [day, setDay] = useState(() => addDays(today, 12));
  const dates = by === 'give' ? deliveryForDay(day) : deliveryFromGraft(day);
  const rows: readonly (readonly [string, string])[] = [
    ['Graft, or order by', dayInWords(dates.graftOn)],
    ['Make the nucs', `${dayInWords(dates.makeUnits.earliest)} to ${dayInWords(dates.makeUnits.latest)}`],
    ['Give the cells', `${dayInWords(dates.giveOn)}, at the latest ${dayInWords(dates.giveLatest)}`],
    ['Queens emerge', `about ${dayInWords(dates.emergence.likely)}`],
    ['Hands off', `${dayInWords(dates.handsOff.from)} to ${dayInWords(dates.handsOff.to)}`],
    ['Look for eggs', `${dayInWords(dates.eggsLook.earliest)} to ${dayInWords(dates.eggsLook.latest)}`],
    ['First capped worker brood', `from ${dayInWords(dates.firstCapped.earliest)}`],
  ];
  return (
    <>
      <Choice
        label="I know the day"
        value={by}
        options={[
          { id: 'give', label: 'when parts get their cells' },
          { id: 'graft', label: 'of grafting' },
        ]}
        onChange={setBy}
      />
      <DayInput label="Day" value={day} onChange={(chosen) => chosen !== '' && setDay(chosen)} />
      <dl className={styles.dates}>
        {rows.map(([what, when]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{when}</dd>
          </div>
        ))}
      </dl>
      <Text color="inkSoft" fontSize="sm">
        Day-old larvae; cells are kept at 34–35 °C, upright, out of the sun, and go between two brood frames.
      </Text>
    </>
  );
}
