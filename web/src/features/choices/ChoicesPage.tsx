import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords, daysBetween } from '@incremen/core/basics';
import { colonySeason } from '@incremen/core/forecast';
import type { Colony } from '@incremen/core/records';
import { compareChoices, type ChoiceCourse, type ChoiceId } from '@incremen/core/remedies';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { useOutside } from '../../shared/weather/useOutside.ts';
import { Choice } from '../../ui/Choice.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './ChoicesPage.module.css';
import { MilestoneTable } from './MilestoneTable.tsx';

const CoursesChart = lazy(() => import('./CoursesChart.tsx'));

/** Weeks that are looked ahead, unless it is until the frost. */
const WEEKS = 8;
const USUAL: readonly ChoiceId[] = ['leave', 'split-now', 'split-later', 'boost-nurses', 'combine'];

export type Shown = 'bees' | 'brood' | 'foodKg';

/** What becomes of a colony by each thing that can be done, on one chart. */
export function ChoicesPage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony || colony.endedOn !== null) return <RouteError missing />;
  return <Compared key={colony.id} colony={colony} />;
}

function Compared({ colony }: { readonly colony: Colony }) {
  const apiary = useApiary();
  const today = useToday();
  const { coldNights } = useOutside();
  const [far, setFar] = useState<'weeks' | 'frost'>('weeks');
  const [shown, setShown] = useState<Shown>('bees');
  const [hidden, setHidden] = useState<ReadonlySet<ChoiceId> | null>(null);
  const { frost } = useMemo(() => colonySeason(apiary, colony, today), [apiary, colony, today]);
  const days = far === 'weeks' ? WEEKS * 7 : Math.max(WEEKS * 7, daysBetween(today, frost) + 1);
  const [choices, setChoices] = useState<readonly ChoiceCourse[] | null>(null);
  useEffect(() => {
    // After the page has been painted: it takes a moment.
    const timer = setTimeout(() => {
      setChoices(compareChoices(apiary, colony, today, { coldNights }, days, () => crypto.randomUUID()));
    });
    return () => clearTimeout(timer);
  }, [apiary, colony, today, coldNights, days]);
  const off =
    hidden ?? new Set((choices ?? []).map((c) => c.id).filter((id) => !usualOf(choices ?? []).includes(id)));
  const drawn = (choices ?? []).filter((c) => !off.has(c.id));
  return (
    <Box display="grid" gridTemplateColumns="minmax(0, 1fr)">
      <PageHeader title={`Choices for ${colony.name}`} aside={`from ${dayInWords(today)}`}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}`}>Back to {colony.name}</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}/act`}>What to do about it</Link>
        </Button>
      </PageHeader>
      {choices === null ? (
        <Text color="inkSoft">Working it out…</Text>
      ) : choices.length === 0 ? (
        <Box>
          <Text mb={3}>Nothing can be said before it is counted.</Text>
          <Button asChild>
            <Link to={`/colonies/${colony.id}/count`}>Count {colony.name}</Link>
          </Button>
        </Box>
      ) : (
        <>
          <Flex gap={5} wrap="wrap" mb={3}>
            <Choice
              label="Show"
              value={shown}
              onChange={setShown}
              options={[
                { id: 'bees', label: 'Bees' },
                { id: 'brood', label: 'Brood' },
                { id: 'foodKg', label: 'Food' },
              ]}
            />
            <Choice
              label="How far"
              value={far}
              onChange={setFar}
              options={[
                { id: 'weeks', label: 'Eight weeks' },
                { id: 'frost', label: 'Until the first frost' },
              ]}
            />
          </Flex>
          <div className={styles.toggles} role="group" aria-label="Choices shown">
            {choices.map((c) => (
              <button
                key={c.id}
                type="button"
                className={styles.toggle}
                data-choice={c.id}
                aria-pressed={!off.has(c.id)}
                onClick={() => {
                  const next = new Set(off);
                  if (!next.delete(c.id)) next.add(c.id);
                  setHidden(next);
                }}
              >
                <span className={styles.swatch} aria-hidden />
                {c.name}
              </button>
            ))}
          </div>
          <Suspense fallback={<Box h="360px" />}>
            <CoursesChart choices={drawn} shown={shown} until={addDays(today, days)} />
          </Suspense>
          <SectionHeading mt={6}>Days that matter</SectionHeading>
          <MilestoneTable choices={drawn} />
          <Text color="inkSoft" fontSize="sm" mt={4} maxW="46rem">
            Each line is the same forecast that every page shows. The band around it is how far a count can be
            off; it widens with time. Where food ends, somebody is taken to feed in time. A part that raises
            its own queen is shown as if she mates on the likely day: about one in four does not.
          </Text>
        </>
      )}
    </Box>
  );
}

/** At first a few that differ are shown: all at once are a tangle. */
function usualOf(choices: readonly ChoiceCourse[]): ChoiceId[] {
  const there = USUAL.filter((id) => choices.some((c) => c.id === id));
  return there.slice(0, 3);
}
