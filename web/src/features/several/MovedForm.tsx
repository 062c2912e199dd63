import { Box, Button, Text } from '@chakra-ui/react';
import { listInWords } from '@incremen/core/basics';
import { placeOf } from '@incremen/core/records';
import { useState } from 'react';
import { useApiary, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { count } from '../../ui/format.ts';
import { Select } from '../../ui/Select.tsx';
import { adviceOnMoves, hivesOf, movedEach } from './severalCommands.ts';
import type { SeveralProps } from './SeveralPage.tsx';
import formStyles from './form.module.css';

/** All were carried to another yard, each to a stand of its own there. */
export function MovedForm({ colonies, onTell, busy }: SeveralProps) {
  const apiary = useApiary();
  const today = useToday();
  const [day, setDay] = useChosenDay();
  const [hour, setHour] = useState<'day' | 'dusk'>('dusk');
  const here = new Set(colonies.map((c) => placeOf(apiary, c).yard?.id));
  const yards = Object.values(apiary.yard).filter((y) => y.closedOn === null && !here.has(y.id));
  const [chosen, setYard] = useState('');
  const yard = yards.find((y) => y.id === chosen) ?? yards[0];
  if (!yard)
    return (
      <Text>
        There is no other yard. Add one under Yard, then come back; to move within a yard, open the hive.
      </Text>
    );
  const move = { day, yardId: yard.id, hour };
  const hives = hivesOf(apiary, colonies);
  return (
    <form
      aria-label="Moved to another yard"
      className={formStyles.form}
      onSubmit={(e) => {
        e.preventDefault();
        void onTell(
          movedEach(apiary, colonies, move, () => crypto.randomUUID()),
          `${count(hives.length, 'hive')} moved to ${yard.name}`,
        );
      }}
    >
      <Select
        fit
        label="Where to"
        value={yard.id}
        options={yards.map((y) => [y.id, y.name])}
        onChange={setYard}
      />
      <Choice
        label="When"
        value={hour}
        onChange={setHour}
        options={[
          { id: 'dusk', label: 'At dusk, all at home' },
          { id: 'day', label: 'By day' },
        ]}
      />
      <DayField label="Day" value={day} max={today} onChange={setDay} />
      <Box as="ul" aria-label="What the move does" listStyleType="none" display="grid" gap={1}>
        {adviceOnMoves(apiary, colonies, move).map((n) => (
          <li key={n.words}>
            <Text color={n.tone === 'alarm' ? 'alarm' : 'inkSoft'}>
              {n.hives.length < hives.length && <b>{listInWords(n.hives)}: </b>}
              {n.words}
            </Text>
          </li>
        ))}
        <li>
          <Text color="inkSoft">
            Lift with two, strap boxes together, leave air, and shut entrances only for the drive.
          </Text>
        </li>
      </Box>
      <Button type="submit" size="lg" justifySelf="start" loading={busy} disabled={day === '' || day > today}>
        {count(hives.length, 'hive stands', 'hives stand')} in {yard.name} now
      </Button>
    </form>
  );
}
