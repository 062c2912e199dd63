import { Explained } from '../../drawing/Explained.tsx';
import { Box, Button, Field, Flex, Input, Text } from '@chakra-ui/react';
import { daysBetween } from '@incremen/core/basics';
import {
  boxesOfColony,
  boxName,
  framesOfColony,
  noEvidence,
  saysAnything,
  type Evidence,
  type FollowUp,
} from '@incremen/core/records';
import { judgeLook } from '@incremen/core/decide';
import { topicInWords } from '@incremen/core/followup';
import { Suspense, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useAppDispatch } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { useApiary, useSend, useChosenDay, useToday } from '../../mirror/hooks.ts';
import { dayToCome } from '../../ui/dayToCome.ts';
import { DayInput } from '../../shared/days/DayInput.tsx';
import { HandsPicker } from '../../shared/settings/HandsPicker.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList, problemsAt } from '../../ui/ProblemList.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { NotHer } from '../../shared/queens/NotHer.tsx';
import { PartEvidence } from './PartEvidence.tsx';
import { AtAGlance, VERDICT_ID } from '../../shared/verdict/AtAGlance.tsx';
import { VerdictCard } from '../../shared/verdict/VerdictCard.tsx';
import { lazyPart } from '../../ui/lazyPart.tsx';

const LookChances = lazyPart(() => import('../../shared/verdict/LookChances.tsx'));

/** An inspection day: what was seen in each part, and the verdict as it forms. */
export function LookPage() {
  const apiary = useApiary();
  const { followUpId = '' } = useParams();
  const followUp = apiary.followUp[followUpId];
  if (!followUp || followUp.kind !== 'look') return <RouteError missing />;
  return <Look key={followUp.id} followUp={followUp} />;
}

function Look({ followUp }: { readonly followUp: FollowUp }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { send, problems, busy } = useSend();
  const colonies = followUp.colonyIds.flatMap((id) => apiary.colony[id] ?? []);
  const [day, setDay] = useChosenDay();
  const [note, setNote] = useState('');
  const [seen, setSeen] = useState<Readonly<Record<string, Evidence>>>(() =>
    Object.fromEntries(colonies.map((c) => [c.id, noEvidence(framesOfColony(apiary, c).length)])),
  );
  const looks = useMemo(
    () => colonies.map((c) => ({ colonyId: c.id, evidence: opened(seen[c.id]) })),
    [colonies, seen],
  );
  const joint = useMemo(() => (day ? judgeLook(apiary, looks, day) : null), [apiary, looks, day]);
  const names = new Map(Object.values(apiary.colony).map((c) => [c.id, c.name]));
  const since = colonies[0]?.separation?.day;
  const dayProblems = [...problemsAt(problems, 'day'), ...dayToCome('The inspection', day, today)];
  const said = looks.filter((l) => l.evidence !== null);

  async function keep() {
    const sent = await send({
      type: 'recordLook',
      followUpId: followUp.id,
      day,
      note,
      parts: said.flatMap((l) =>
        l.evidence ? [{ visitId: crypto.randomUUID(), colonyId: l.colonyId, evidence: l.evidence }] : [],
      ),
      newIds: Array.from({ length: 60 }, () => crypto.randomUUID()),
    });
    if (!sent.ok) return;
    toaster.create({
      title: 'The inspection is saved',
      action: { label: 'Undo', onClick: () => void dispatch(takeBack(sent.entryId)) },
    });
    await navigate('/inspections');
  }

  if (followUp.status !== 'open') {
    return (
      <Box>
        <PageHeader title={topicInWords(followUp.topic)} />
        <Text mb={4}>This inspection is done, or a later one took its place.</Text>
        <Button asChild>
          <Link to="/inspections">Inspections due</Link>
        </Button>
      </Box>
    );
  }
  return (
    <Box>
      <PageHeader
        title={topicInWords(followUp.topic)}
        aside={
          since && day
            ? `${colonies.map((c) => c.name).join(' · ')}, day ${daysBetween(since, day)} since the split`
            : colonies.map((c) => c.name).join(' · ')
        }
      >
        <Button
          onClick={() => void keep()}
          disabled={said.length === 0 || !day || day > today}
          loading={busy}
        >
          Save inspection
        </Button>
      </PageHeader>
      <HandsPicker />
      <Text mb={4} maxW="46rem" fontSize="lg">
        <Explained>{followUp.expect}</Explained>
      </Text>
      {joint && said.length > 0 && <AtAGlance joint={joint} names={names} hideFrom="xl" />}
      <Flex gap={6} direction={{ base: 'column', xl: 'row' }} align="flex-start">
        <Flex gap={4} wrap="wrap" flex="1 1 640px" w="100%" align="flex-start">
          {colonies.map((c) => (
            <PartEvidence
              key={c.id}
              name={c.name}
              evidence={seen[c.id] ?? noEvidence(0)}
              boxes={boxesOfColony(apiary, c).map((b, _, all) => ({ id: b.id, name: boxName(all, b.id) }))}
              onChange={(e) => setSeen({ ...seen, [c.id]: e })}
            >
              {seen[c.id]?.queen.look === 'found' && <NotHer colony={c} />}
            </PartEvidence>
          ))}
        </Flex>
        <Box
          w={{ base: '100%', xl: '380px' }}
          flex="none"
          position={{ xl: 'sticky' }}
          top={4}
          display="grid"
          gap={4}
        >
          {joint && said.length > 0 ? (
            <Box id={VERDICT_ID}>
              <VerdictCard
                joint={joint}
                names={names}
                day={day}
                chances={(id) => {
                  const colony = apiary.colony[id];
                  const evidence = opened(seen[id]);
                  return (
                    colony &&
                    evidence && (
                      <Suspense fallback={null}>
                        <LookChances colony={colony} day={day} seen={evidence} />
                      </Suspense>
                    )
                  );
                }}
              />
            </Box>
          ) : (
            <Text color="inkSoft">Enter what you saw. The verdict appears here as you go.</Text>
          )}
          <ProblemList problems={problems.filter((p) => p.path[0] !== 'day')} />
          <Field.Root invalid={dayProblems.length > 0}>
            <Field.Label>Day of the inspection</Field.Label>
            <DayInput value={day} max={today} invalid={dayProblems.length > 0} onChange={setDay} />
            <ProblemList problems={dayProblems} />
          </Field.Root>
          <Field.Root>
            <Field.Label>Note</Field.Label>
            <Input bg="sheet" value={note} maxLength={4000} onChange={(e) => setNote(e.target.value)} />
          </Field.Root>
        </Box>
      </Flex>
    </Box>
  );
}

/** Evidence of a part that was opened; null while nothing at all was said of it. */
function opened(evidence: Evidence | undefined): Evidence | null {
  return evidence && saysAnything(evidence) ? evidence : null;
}
