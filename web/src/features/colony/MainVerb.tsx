import { Button } from '@chakra-ui/react';
import { isInspection } from '@incremen/core/followup';
import { openFollowUps, type Apiary } from '@incremen/core/records';
import type { Assessment } from '@incremen/core/assessment';
import { openSplitOf } from '@incremen/core/work';
import { Eye, Split } from 'lucide-react';
import { Link } from 'react-router';
import { wayOut } from '../../shared/colonies/wayOut.ts';

/** The one thing to do next with this colony. */
export function MainVerb({
  apiary,
  state,
  today,
}: {
  readonly apiary: Apiary;
  readonly state: Assessment;
  readonly today: string;
}) {
  const { colony } = state;
  const plan = openSplitOf(apiary, colony.id);
  const due = openFollowUps(apiary).find(
    (f) => isInspection(f) && f.colonyIds.includes(colony.id) && f.window.earliest <= today,
  );
  if (colony.endedOn !== null) return null;
  if (plan) {
    return (
      <Button asChild>
        <Link to={`/worksheet/${plan.id}`}>
          {plan.status === 'draft' ? 'Start the work' : 'Go on with the work'}
        </Link>
      </Button>
    );
  }
  if (due) {
    return (
      <Button asChild>
        <Link to={`/look/${due.id}`}>
          <Eye size={18} aria-hidden /> Record inspection
        </Link>
      </Button>
    );
  }
  // What stays shut for the winter is fed if it is light, and neither split nor mended.
  if (state.opening.because === 'winter') {
    return (
      <Button asChild variant="outline" bg="sheet">
        <Link to="/feed">Feed and store</Link>
      </Button>
    );
  }
  const way = wayOut(state);
  if (way) {
    return (
      <Button asChild>
        <Link to={way.to}>{way.verb}</Link>
      </Button>
    );
  }
  return (
    <Button asChild {...(state.lane === 'strong' ? {} : { variant: 'outline' as const, bg: 'sheet' })}>
      <Link to={`/colonies/${colony.id}/ways`}>
        <Split size={18} aria-hidden /> Plan a split
      </Link>
    </Button>
  );
}
