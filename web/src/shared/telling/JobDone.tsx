import { Button } from '@chakra-ui/react';
import { placeOf, type Command, type FollowUp } from '@incremen/core/records';
import { topicInWords } from '@incremen/core/followup';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { Link } from 'react-router';
import { newIds, useTell } from './useTell.ts';

/** The button by which a job is done. An entrance that is open is open in the records too. */
export function JobDone({ job }: { readonly job: FollowUp }) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, busy } = useTell();
  const [first] = job.colonyIds.map((id) => apiary.colony[id]);
  if (job.topic === 'carry' && first) {
    return (
      <Button asChild size="sm" variant="outline" bg="sheet">
        <Link to={`/colonies/${first.id}/happened?what=moved`}>It was carried there</Link>
      </Button>
    );
  }
  const { hive } = first ? placeOf(apiary, first) : {};
  const command: Command =
    job.topic === 'entrance' && hive?.entrance.state === 'shut'
      ? { type: 'setEntrance', hiveId: hive.id, day: today, state: 'open', newIds: newIds(12) }
      : { type: 'closeFollowUp', followUpId: job.id };
  return (
    <Button
      size="sm"
      variant="outline"
      bg="sheet"
      loading={busy}
      aria-label={`Done: ${topicInWords(job.topic)}`}
      onClick={() => void tell(command, 'Done')}
    >
      Done
    </Button>
  );
}
