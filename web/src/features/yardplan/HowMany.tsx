import { Box, Button, Flex, Spinner, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { Apiary, NucRecipe, YardPlanRequest } from '@incremen/core/records';
import { daysAhead, outOfSeason, type NucsOnDay } from '@incremen/core/yardplan';
import { proxy } from 'comlink';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { useInView } from 'react-intersection-observer';
import { count } from '../../ui/format.ts';
import { Select } from '../../ui/Select.tsx';
import { yardPlanner } from '../../workers/yardPlanner.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const HowManyChart = lazyPart(() => import('./HowManyChart.tsx'));

/** Days with what was found on one of them. A longer look is not worse than the one before. */
function withDay(days: readonly NucsOnDay[], day: NucsOnDay): readonly NucsOnDay[] {
  const before = days.find((d) => d.day === day.day);
  if (!before) return [...days, day];
  const better = { ...day, nucs: Math.max(day.nucs, before.nucs) };
  return days.map((d) => (d === before ? better : d));
}

/** How many nucs of a recipe can be made today and on each of the days to come; a day leads to its plan. */
export function HowMany({
  apiary,
  request,
  recipe,
  today,
  made,
  onDay,
}: {
  readonly apiary: Apiary;
  readonly request: YardPlanRequest;
  readonly recipe: NucRecipe;
  readonly today: string;
  /** Nucs of the recipe that a plan on the bench makes, after a longer look at its day; null where there is none. */
  readonly made: Pick<NucsOnDay, 'day' | 'nucs'> | null;
  readonly onDay: (day: NucsOnDay) => void;
}) {
  const all = useMemo(() => daysAhead(today), [today]);
  // Other goals of the bench do not matter here: it asks for nucs alone.
  const whole = request.goals.filter((g) => g.kind === 'makeNucs' && g.wholeOfId !== undefined);
  const key = JSON.stringify({ ...request, goals: whole, pins: [], forbids: [], day: today, recipe });
  // Six weeks of plans keep a core busy: they are worked out when somebody looks.
  const why = useMemo(() => outOfSeason(apiary, request, recipe, all), [apiary, request, recipe, all]);
  const { ref, inView } = useInView({ rootMargin: '150px 0px', triggerOnce: true });
  const [found, setFound] = useState<{ key: string; days: readonly NucsOnDay[] }>({ key: '', days: [] });
  useEffect(() => {
    if (!inView || why !== null) return undefined;
    let current = true;
    const { recipe: asked, ...rest } = JSON.parse(key) as YardPlanRequest & { recipe: NucRecipe };
    void yardPlanner('days').days(
      apiary,
      rest,
      asked,
      all,
      proxy((day: NucsOnDay) => {
        if (!current) return;
        setFound((f) => ({ key, days: f.key === key ? withDay(f.days, day) : [day] }));
      }),
    );
    return () => {
      current = false;
      void yardPlanner('days').stop();
    };
  }, [apiary, key, all, inView, why]);
  const { day: madeOn, nucs: madeThere = 0 } = made ?? {};
  const days = useMemo(
    () =>
      (found.key === key ? found.days : []).map((d) =>
        d.day === madeOn ? { ...d, nucs: Math.max(d.nucs, madeThere) } : d,
      ),
    [found, key, madeOn, madeThere],
  );
  const now = days.find((d) => d.day === today);
  const most = days.reduce<NucsOnDay | undefined>(
    (m, d) => (m === undefined || d.nucs > m.nucs ? d : m),
    undefined,
  );
  const next = days.find((d) => now && d.nucs > now.nucs);
  if (why !== null) {
    return (
      <Box as="section" aria-label="How many, and when" ref={ref}>
        <SectionHeading>How many, and when?</SectionHeading>
        <Text>
          <b>None in the next six weeks.</b> {why}
        </Text>
      </Box>
    );
  }
  return (
    <Box as="section" aria-label="How many, and when" ref={ref}>
      <Flex align="baseline" gap={3} wrap="wrap">
        <SectionHeading mb={0}>How many, and when?</SectionHeading>
        <Text flex="1 1 18rem" color="inkSoft">
          {now
            ? `${count(now.nucs, 'nuc')} today${next ? `, ${next.nucs} from ${dayInWords(next.day)}` : ''}${most && next && most.nucs > next.nucs ? `, ${most.nucs} on ${dayInWords(most.day)}` : ''}.`
            : 'Working it out…'}{' '}
          {(days.length < all.length || days.some((d) => d.mostNucs === null)) && <Spinner size="xs" />}
        </Text>
        <Select
          label="Plan for a day"
          fit
          value=""
          options={[
            ['', 'Plan for…'],
            ...days.map((d) => [d.day, `${dayInWords(d.day)}: ${count(d.nucs, 'nuc')}`] as const),
          ]}
          onChange={(day) => {
            const chosen = days.find((d) => d.day === day);
            if (chosen) onDay(chosen);
          }}
        />
        {most && most.nucs > 0 && (
          <Button size="sm" minH="40px" variant="outline" bg="sheet" onClick={() => onDay(most)}>
            Plan the best day
          </Button>
        )}
      </Flex>
      <Suspense fallback={<Box h="210px" />}>
        <HowManyChart days={days} all={all} onDay={onDay} />
      </Suspense>
      <Text fontSize="sm" color="inkSoft">
        From counts carried forward day by day: brood emerges, queens go on laying, nothing comes in. Each
        figure is a plan that breaks no rule. What stands above it in outline is not ruled out, but no plan
        was found for it.
      </Text>
    </Box>
  );
}
