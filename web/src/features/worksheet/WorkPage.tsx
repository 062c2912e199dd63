import { Box, Button, Text } from '@chakra-ui/react';
import { capital, dayInWords } from '@incremen/core/basics';
import { stepsOfWork, unitsOfWork, type Apiary, type MethodId, type Work } from '@incremen/core/records';
import { methodById } from '@incremen/core/split';
import { takeHiveNext } from '@incremen/core/work';
import { stepPictures } from './stepPictures.ts';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { WorkActions } from './WorkActions.tsx';
import { WorkDone } from './WorkDone.tsx';
import { WorkProblems } from './WorkProblems.tsx';
import { Worksheet } from './Worksheet.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** The work at the hives: what to bring, then one step after the other, large enough for a glove. */
export function WorkPage() {
  const apiary = useApiary();
  const { workId = '' } = useParams();
  const work = apiary.work[workId];
  if (!work) return <RouteError missing />;
  switch (work.status) {
    case 'done':
      return <WorkDone work={work} />;
    case 'dropped':
      return <Dropped work={work} />;
    case 'draft':
    case 'working':
      return <Steps work={work} />;
  }
}

/** A split by its colony; what was asked begins with a small letter where it stands in a list, not as a title. */
function titleOf(apiary: Apiary, { name, body: { asked } }: Work): string {
  return asked.source === 'split' ? `Work at ${apiary.colony[asked.colonyId]?.name ?? ''}` : capital(name);
}

/** Where work of this kind is planned. */
const plannedAt = ({ body: { asked } }: Work, page: '' | '/plan') =>
  asked.source === 'split' ? `/colonies/${asked.colonyId}${page}` : '/plan';

function Dropped({ work }: { readonly work: Work }) {
  const apiary = useApiary();
  return (
    <Box>
      <PageHeader title={titleOf(apiary, work)} />
      <Text mb={4}>This plan was dropped. Nothing of it is in the records.</Text>
      <Button asChild>
        <Link to={plannedAt(work, '/plan')}>Plan again</Link>
      </Button>
    </Box>
  );
}

function Steps({ work }: { readonly work: Work }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const { send, problems } = useSend();
  const steps = stepsOfWork(apiary, work.id);
  const { asked } = work.body;
  const methodId = asked.source === 'split' ? asked.methodId : null;
  const method = methodId && methodById(methodId);

  async function drop() {
    const sent = await send({ type: 'dropWork', workId: work.id });
    if (sent.ok) await navigate(plannedAt(work, ''));
  }

  const pictures = stepPictures(apiary, work, steps);
  const goesWrong = useMemo(() => methodId && <GoesWrong methodId={methodId} />, [methodId]);
  return (
    <Box>
      <PageHeader
        title={titleOf(apiary, work)}
        aside={method ? `${method.name}, ${dayInWords(work.day)}` : dayInWords(work.day)}
      >
        <WorkActions workId={work.id} onDrop={() => void drop()} />
      </PageHeader>
      <WorkProblems work={work} problems={problems} />
      <Worksheet
        work={work}
        pictures={pictures}
        steps={steps}
        units={unitsOfWork(apiary, work)}
        // Work planned for another day is dated by the day on which it is ticked.
        onTick={(tick) => send({ type: 'tickStep', day: today, ...tick })}
        onNext={(id) => void send({ type: 'amendWork', work, steps: takeHiveNext(steps, id) })}
      >
        {goesWrong}
      </Worksheet>
    </Box>
  );
}

/** What can go wrong with a method, and the way out. */
function GoesWrong({ methodId }: { readonly methodId: MethodId }) {
  return (
    <Box as="section">
      <SectionHeading>If it goes wrong</SectionHeading>
      <Box as="dl" display="grid" gap={2} fontSize="sm">
        {methodById(methodId).goesWrong.map((g) => (
          <Box key={g.what}>
            <Text as="dt" fontWeight="600">
              {g.what}
            </Text>
            <Text as="dd" color="inkSoft">
              {g.wayOut}
            </Text>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
