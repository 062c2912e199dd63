import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import type { Apiary, SeasonAim, SeasonPlan, SeasonRound } from '@incremen/core/records';
import {
  heldTo,
  roundOf,
  seasonProblem,
  storedRound,
  usualAim,
  whyNot,
  type AimKind,
  type Outlook,
  type Schedule,
  type TriedPlan,
} from '@incremen/core/seasonplan';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { count, mass } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import common from '../../ui/common.module.css';
import { AimSentence } from './AimSentence.tsx';
import { Frontier } from './Frontier.tsx';
import { KeptPlan } from './KeptPlan.tsx';
import { KitByMonth } from './KitByMonth.tsx';
import { OddsPanel } from './OddsPanel.tsx';
import { PlanCards } from './PlanCards.tsx';
import { RoundList } from './RoundList.tsx';
import { inTen, OBSTACLE_WORDS } from './seasonWords.ts';
import { onDay } from '../../shared/days/onDay.ts';
import { SeasonPicture } from './SeasonPicture.tsx';
import { useHelps } from './useHelps.ts';
import { SEASONS_AT_FIRST } from '../../workers/seasonPool.ts';
import { SEASONS, useOutlook } from './useOutlook.ts';
import { useSeasonSearch } from './useSeasonSearch.ts';
import styles from './Season.module.css';

const NOTHING_DONE: Schedule = [];
/** A plan reaches so far. */
const LEAST_DAYS = 14;
const MOST_DAYS = 730;

/** The season plan: from what stands in the yards to so many colonies by a day, with its price and its odds. */
export function SeasonPage() {
  const apiary = useApiary();
  const alive = Object.values(apiary.colony).some((c) => c.endedOn === null && c.hiveId !== null);
  if (!alive)
    return (
      <Box>
        <PageHeader title="Season plan" />
        <Text mb={4}>
          A season is planned from what stands in your yards. Set up your hives first; a guess at their
          strength will do.
        </Text>
        <Button asChild>
          <Link to="/setup">Set up a yard</Link>
        </Button>
      </Box>
    );
  return <Season apiary={apiary} />;
}

function Season({ apiary }: { readonly apiary: Apiary }) {
  const today = useToday();
  const { seasonPlan } = useOperation();
  const kept = seasonPlan ?? null;
  const [aim, setAim] = useState<SeasonAim>(() => kept?.aim ?? usualAim(apiary, today, 'grow'));
  const [kind, setKind] = useState<AimKind | null>(kept ? null : 'grow');
  const [anew, setAnew] = useState(kept === null);
  const planning = anew || kept === null;
  const fault = faultOf(aim, today);
  const problem = useMemo(
    () =>
      fault === null
        ? seasonProblem(apiary, planning ? aim : (kept?.aim ?? aim), today, kept?.seed ?? 1)
        : null,
    [apiary, aim, today, fault, planning, kept],
  );
  const held = useMemo(() => (kept ? heldTo(apiary, kept, today) : null), [apiary, kept, today]);
  const { found, busy, stop } = useSeasonSearch(apiary, planning ? problem : null);
  const [picked, setPicked] = useState<TriedPlan | null>(null);
  const plans = found?.plans ?? [];
  const isPicked =
    picked !== null &&
    (plans.some((p) => p === picked) || found?.frontier.some((s) => s.schedule === picked.scored.schedule));
  const shown: TriedPlan | null = isPicked ? picked : (plans[0] ?? null);
  // What is left of the plan that is followed, from today on.
  const left = useMemo((): Schedule | null => {
    if (!problem || !held) return null;
    return held.rounds.flatMap(({ round, made, state }) =>
      state === 'done'
        ? []
        : [
            roundOf(problem, {
              ...round,
              day: round.day < today ? today : round.day,
              parts: Math.max(round.parts === 0 ? 0 : 1, round.parts - made),
            }),
          ],
    );
  }, [problem, held, today]);
  // Before anything is found the season is shown as it goes if nothing is done.
  const schedule = planning ? (shown?.schedule ?? found?.best.schedule ?? NOTHING_DONE) : left;
  const settled = !planning || shown !== null;
  const outlook = useOutlook(problem, schedule, settled ? SEASONS : SEASONS_AT_FIRST);
  const helps = useHelps(apiary, problem, settled && outlook?.over ? schedule : null);
  const rounds = planning
    ? (shown?.rounds ?? (problem && schedule ? schedule.map((r) => storedRound(problem, r)) : []))
    : (kept?.rounds ?? []);
  const { tell, problems, busy: keeping } = useTell();
  const keep = async () => {
    if (!problem || !outlook) return;
    const plan: SeasonPlan = {
      v: 1,
      madeOn: today,
      seed: problem.seed,
      aim,
      rounds: [...rounds],
      said: {
        odds: outlook.odds,
        weeks: outlook.fans.slice(0, 120).map((f, w) => ({
          // What is told of a week is how it ends.
          day: addDays(today, 7 * (w + 1)),
          colonies: [...f.colonies],
          frames: [...f.frames],
          honeyKg: [...f.honey],
        })),
      },
    };
    if (await tell({ type: 'keepSeasonPlan', plan }, 'You follow this season plan now')) setAnew(false);
  };
  return (
    <Box maxW="76rem">
      <PageHeader
        title="Season plan"
        aside="From what stands in your yards to what you want, with its price and its odds."
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to="/season/odds">Chances it begins from</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to="/spares">Spares</Link>
        </Button>
        <Button variant="outline" bg="sheet" onClick={() => window.print()}>
          Print
        </Button>
      </PageHeader>
      {kept && held && (
        <KeptPlan
          plan={kept}
          held={held}
          now={planning ? null : outlook}
          week={planning ? null : (helps?.week ?? null)}
          anew={anew}
          onAnew={() => {
            // The day of the kept aim may be too near to plan for: then a usual aim is offered.
            setAim(faultOf(kept.aim, today) === null ? kept.aim : usualAim(apiary, today, 'grow'));
            setAnew(!anew);
          }}
        />
      )}
      {planning && (
        <>
          <AimSentence
            aim={aim}
            kind={kind}
            onKind={(k) => {
              setKind(k);
              setAim(usualAim(apiary, today, k));
            }}
            onChange={setAim}
          />
          {fault !== null ? (
            <Text role="alert" color="alarm" fontWeight="700" mb={4}>
              {fault}
            </Text>
          ) : (
            <Answer
              busy={busy}
              done={found?.done ?? 0}
              tried={found?.tried ?? 0}
              aim={aim}
              odds={found ? (outlook?.odds ?? shown?.scored.odds ?? found.best.odds) : null}
              reach={
                problem && found?.over
                  ? whyNot(problem, (shown ?? found.plans[0])?.scored ?? found.best)
                  : null
              }
              onStop={stop}
              onReach={(colonies) => setAim({ ...aim, colonies })}
            />
          )}
          {plans.length > 0 && (
            <PlanCards
              plans={plans}
              chosen={shown}
              told={outlook?.over ? { odds: outlook.odds, ...outlook.means } : null}
              onChoose={setPicked}
            />
          )}
          {found && found.frontier.length > 2 && problem && (
            <Frontier
              apiary={apiary}
              problem={problem}
              points={found.frontier}
              chosen={shown?.scored ?? null}
              onChoose={setPicked}
            />
          )}
          <ProblemList problems={problems} />
          {shown && outlook && (
            <Flex mb={6} gap={3} className={common.noPrint}>
              <Button size="lg" disabled={keeping || !outlook.over} onClick={() => void keep()}>
                Follow this plan
              </Button>
            </Flex>
          )}
        </>
      )}
      {problem && schedule && (
        <Plan
          problem={problem}
          rounds={rounds}
          outlook={outlook}
          trials={planning ? (shown?.trials ?? null) : null}
          held={planning ? null : held}
        />
      )}
      {outlook && problem && (
        <>
          <OddsPanel outlook={outlook} changes={helps?.changes ?? null} rounds={rounds} />
          <KitByMonth problem={problem} outlook={outlook} />
          <Box as="details" mt={6} className={common.noPrint}>
            <summary className={common.summary}>How this is worked out</summary>
            <Text maxW="46rem" mb={2}>
              Each colony is carried on week by week from today’s forecast: brood by age, house, field and
              winter bees, food and comb, by the same figures as everywhere here.{' '}
              {count(outlook.seasons, 'season')} of {count(SEASONS, 'season')} were run, each with its own
              spring, flow, matings, losses and days of rain. The same plan always meets the same seasons, so
              that a better plan is better and not luckier.
            </Text>
            <Text maxW="46rem">
              Each round was tried in the planner of a day on the colonies as a typical season makes them.
              Nobody knows the weather: plan anew after each count. Treatments need their own dates: the label
              and your local rules set them.
            </Text>
          </Box>
        </>
      )}
    </Box>
  );
}

/** What is wrong with the day of an aim; null where nothing is. */
function faultOf(aim: SeasonAim, today: Day): string | null {
  if (aim.by < addDays(today, LEAST_DAYS))
    return `Choose a day from ${onDay(addDays(today, LEAST_DAYS), today)} on: nothing can be planned in less than two weeks.`;
  return aim.by > addDays(today, MOST_DAYS)
    ? 'Choose a day within two years: further ahead nothing can be said.'
    : null;
}

function Answer({
  busy,
  done,
  tried,
  aim,
  odds,
  reach,
  onStop,
  onReach,
}: {
  readonly busy: boolean;
  readonly done: number;
  readonly tried: number;
  readonly aim: SeasonAim;
  readonly odds: number | null;
  readonly reach: ReturnType<typeof whyNot>;
  readonly onStop: () => void;
  readonly onReach: (colonies: number) => void;
}) {
  const today = useToday();
  const { units } = useOperation();
  const what = `${aim.atMost ? 'no more than ' : ''}${count(aim.colonies, 'colony', 'colonies')}${aim.honeyKg > 0 ? ` and ${mass(aim.honeyKg, units)} of honey` : ''}`;
  return (
    <Box mb={4}>
      <Text role="status" className={styles.odds}>
        {odds === null
          ? 'Working it out…'
          : reach
            ? `${capitalised(what)} by ${onDay(aim.by, today)} ${reach.colonies >= aim.colonies ? 'is' : 'are'} out of reach in most seasons${reach.colonies < aim.colonies ? `; about ${reach.colonies} can be had` : ''}.`
            : `You can have ${what} by ${onDay(aim.by, today)} ${inTen(odds)}.`}
      </Text>
      {reach && (
        <Flex gap={3} align="center" wrap="wrap" mt={1}>
          <Text>{OBSTACLE_WORDS[reach.obstacle]}</Text>
          {reach.colonies > 0 && reach.colonies < aim.colonies && (
            <Button variant="outline" bg="sheet" onClick={() => onReach(reach.colonies)}>
              Plan for {reach.colonies}
            </Button>
          )}
        </Flex>
      )}
      {busy && (
        <Flex gap={4} align="center" mt={2} wrap="wrap">
          <progress className={styles.progress} max={1} value={done} aria-label="Search" />
          <Text color="inkSoft">{count(tried, 'plan')} tried</Text>
          <Button variant="outline" bg="sheet" size="sm" onClick={onStop}>
            Stop
          </Button>
        </Flex>
      )}
    </Box>
  );
}

const capitalised = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function Plan({
  problem,
  rounds,
  outlook,
  trials,
  held,
}: {
  readonly problem: NonNullable<ReturnType<typeof seasonProblem>>;
  readonly rounds: readonly SeasonRound[];
  readonly outlook: Outlook | null;
  readonly trials: TriedPlan['trials'] | null;
  readonly held: ReturnType<typeof heldTo> | null;
}) {
  const today = useToday();
  return (
    <>
      <Box as="section" aria-label="The season in a picture" mb={5}>
        <SectionHeading mb={1}>
          {dayInWords(problem.from)} to {onDay(problem.aim.by, today)}
        </SectionHeading>
        {outlook ? (
          <>
            <SeasonPicture problem={problem} rounds={rounds} story={outlook.story} fans={outlook.fans} />
            <Text color="inkSoft" fontSize="sm" mt={1}>
              A typical season. Filled hives have a laying queen, open ones await one; they grow with their
              bees. A solid line is a colony being made, a dotted one a union, a cross a loss. Below:
              colonies, bees and honey; eight of ten seasons lie in the bands.
            </Text>
          </>
        ) : (
          <Box h="280px" display="grid" placeItems="center" color="inkSoft" role="status">
            Running the seasons…
          </Box>
        )}
      </Box>
      <RoundList
        problem={problem}
        rounds={rounds}
        trials={trials}
        held={held}
        madeBy={held ? null : (outlook?.madeBy ?? null)}
      />
    </>
  );
}
