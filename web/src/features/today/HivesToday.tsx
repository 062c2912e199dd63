import { Box, Text } from '@chakra-ui/react';
import { hivesToday, type HiveToday } from '@incremen/core/assessment';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { DryHours } from './DryHours.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './HivesToday.module.css';

/** The day's hives: those that must be opened, in the order to take them; may be; and must not be. */
export function HivesToday() {
  const apiary = useApiary();
  const today = useToday();
  const { must, may, mustNot } = useMemo(() => hivesToday(apiary, today), [apiary, today]);
  if (must.length + may.length + mustNot.length === 0) return null;
  return (
    <>
      <DryHours must={must} />
      <Box as="section" aria-label="Hives of the day" className={styles.today}>
        <Group title="Must open" hives={must} none="Nothing has to be opened today." numbered />
        <Group title="Must not open" hives={mustNot} none="None rests today." />
        <Group title="May open" hives={may} none="" />
      </Box>
    </>
  );
}

type Some<T> = readonly [T, ...T[]];

/** What holds for several is said once. */
function ofOneReason(hives: readonly HiveToday[]): Some<HiveToday>[] {
  const byWhy = new Map<string, Some<HiveToday>>();
  for (const h of hives) byWhy.set(h.why, [...(byWhy.get(h.why) ?? []), h] as unknown as Some<HiveToday>);
  return [...byWhy.values()];
}

function Group({
  title,
  hives,
  none,
  numbered = false,
}: {
  readonly title: string;
  readonly hives: readonly HiveToday[];
  readonly none: string;
  readonly numbered?: boolean;
}) {
  if (hives.length === 0 && none === '') return null;
  return (
    <Box as="section" aria-label={title}>
      <SectionHeading mb={1}>
        {title}
        {hives.length > 0 && ` (${hives.length})`}
      </SectionHeading>
      {hives.length === 0 && <Text color="inkSoft">{none}</Text>}
      <Box as={numbered ? 'ol' : 'ul'} className={styles.list}>
        {(numbered ? hives.map((h): Some<HiveToday> => [h]) : ofOneReason(hives)).map((group) => (
          <li key={group[0].colony.id} data-several={group.length > 1 || undefined}>
            <span className={styles.names}>
              {group.map(({ colony, to }) => (
                <Link key={colony.id} to={to ?? `/colonies/${colony.id}`}>
                  {colony.name}
                </Link>
              ))}
            </span>
            <span>{group[0].why}</span>
          </li>
        ))}
      </Box>
    </Box>
  );
}
