import { Box } from '@chakra-ui/react';
import type { Season, Situation } from '@incremen/core/split';
import { Choice } from '../../ui/Choice.tsx';
import { Stepper } from '../../ui/Stepper.tsx';

const SEASON_WORDS: Readonly<Record<Season, string>> = {
  early: 'Too early yet',
  'build-up': 'Build-up',
  swarm: 'Swarm season',
  dearth: 'Dearth',
  autumn: 'Autumn',
};

/** What one has and wants; read from the records, and changed where they are wrong. */
export function SituationForm({
  now,
  onChange,
}: {
  readonly now: Situation;
  readonly onChange: (change: Partial<Situation>) => void;
}) {
  const yes = (value: boolean) => (value ? 'yes' : 'no');
  const yesNo = (
    label: string,
    value: boolean,
    set: (v: boolean) => Partial<Situation>,
    words = ['Yes', 'No'],
  ) => (
    <Choice
      label={label}
      value={yes(value)}
      onChange={(v) => onChange(set(v === 'yes'))}
      options={[
        { id: 'yes', label: words[0] },
        { id: 'no', label: words[1] },
      ]}
    />
  );
  return (
    <Box display="grid" gap={4}>
      <Stepper
        label="New colonies wanted"
        value={now.wanted}
        min={0}
        max={12}
        onChange={(wanted) => onChange({ wanted })}
      />
      {yesNo('A honey crop from it this year', now.wantsHoney, (wantsHoney) => ({ wantsHoney }))}
      <Choice
        label="The queen"
        value={now.queen}
        onChange={(queen) => onChange({ queen })}
        options={[
          { id: 'found', label: 'Seen' },
          { id: 'not-found', label: 'Not looked for' },
          { id: 'gone', label: 'None' },
        ]}
      />
      <Choice
        label="Queen cells"
        value={now.cells}
        onChange={(cells) => onChange({ cells, ...(cells === 'none' ? { cellCount: 0 } : {}) })}
        options={[
          { id: 'none', label: 'None' },
          { id: 'open', label: 'Open' },
          { id: 'capped', label: 'Capped' },
        ]}
      />
      {now.cells !== 'none' && (
        <Stepper
          label="Good cells"
          value={now.cellCount}
          min={0}
          max={40}
          onChange={(cellCount) => onChange({ cellCount })}
        />
      )}
      <Stepper
        label="Mated queens at hand"
        value={now.matedQueens}
        min={0}
        max={60}
        onChange={(matedQueens) => onChange({ matedQueens })}
      />
      <Stepper
        label="Ripe cells at hand"
        value={now.ripeCells}
        min={0}
        max={60}
        onChange={(ripeCells) => onChange({ ripeCells })}
      />
      {yesNo('A second yard, 3 km (2 miles) away or more', now.secondYard, (secondYard) => ({ secondYard }))}
      <Choice
        label="Time of year"
        columns
        value={now.season}
        onChange={(season) => onChange({ season })}
        options={(Object.keys(SEASON_WORDS) as Season[]).map((id) => ({ id, label: SEASON_WORDS[id] }))}
      />
      {yesNo('Drones fly', now.dronesFly, (dronesFly) => ({ dronesFly }), ['Yes', 'Not yet'])}
    </Box>
  );
}
