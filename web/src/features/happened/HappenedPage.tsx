import { Box, Button, Heading } from '@chakra-ui/react';
import type { Colony } from '@incremen/core/records';
import {
  ArrowRightLeft,
  Bird,
  Cross,
  DoorOpen,
  Droplets,
  Layers2,
  MapPin,
  PackageOpen,
  Shirt,
  Sprout,
  type LucideIcon,
} from 'lucide-react';
import type { ComponentType } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { IconKeys } from '../../ui/IconKeys.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import { EndForm } from './EndForm.tsx';
import { EntranceForm } from './EntranceForm.tsx';
import { FeedForm } from './FeedForm.tsx';
import { HarvestForm } from './HarvestForm.tsx';
import { MoveForm } from './MoveForm.tsx';
import { OriginForm } from './OriginForm.tsx';
import { StackForm } from './StackForm.tsx';
import { SwarmForm } from './SwarmForm.tsx';
import { TreatmentForm } from './TreatmentForm.tsx';
import { WearForm } from './WearForm.tsx';

/** What each form is given: the colony, and what to do when it is told. */
export interface HappenedProps {
  readonly colony: Colony;
  readonly done: () => void;
}

const KINDS: readonly {
  readonly id: string;
  readonly name: string;
  readonly icon: LucideIcon;
  readonly Form: ComponentType<HappenedProps>;
}[] = [
  { id: 'feed', name: 'Feed given', icon: Droplets, Form: FeedForm },
  { id: 'treatment', name: 'Treatment in or out', icon: Cross, Form: TreatmentForm },
  { id: 'moved', name: 'Hive moved', icon: MapPin, Form: MoveForm },
  { id: 'entrance', name: 'Entrance shut or open', icon: DoorOpen, Form: EntranceForm },
  { id: 'stacked', name: 'Two families in one stack', icon: Layers2, Form: StackForm },
  { id: 'wears', name: 'Wrap, guard, branch, feeder', icon: Shirt, Form: WearForm },
  { id: 'swarm', name: 'It swarmed', icon: Bird, Form: SwarmForm },
  { id: 'harvest', name: 'Honey taken', icon: PackageOpen, Form: HarvestForm },
  { id: 'ended', name: 'Dead, sold, gone', icon: ArrowRightLeft, Form: EndForm },
  { id: 'origin', name: 'Where it came from', icon: Sprout, Form: OriginForm },
];

/** What happened at a colony besides counts and planned work: one choice, one short form. */
export function HappenedPage() {
  const apiary = useApiary();
  const navigate = useNavigate();
  const { colonyId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const colony = apiary.colony[colonyId];
  if (!colony) return <RouteError missing />;
  const chosen = KINDS.find((k) => k.id === params.get('what'));
  return (
    <Box>
      <PageHeader
        title={`What happened at ${colony.name}?`}
        aside="One tap, then a short form. It can be undone."
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}`}>Back to {colony.name}</Link>
        </Button>
      </PageHeader>
      <IconKeys
        label="What happened"
        keys={KINDS}
        chosen={chosen?.id}
        onChoose={(what) => setParams({ what }, { replace: true })}
      />
      {chosen && (
        <Box as="section" key={chosen.id}>
          <Heading as="h2" fontSize="xl" mb={3}>
            {chosen.name}
          </Heading>
          <chosen.Form colony={colony} done={() => void navigate(`/colonies/${colony.id}`)} />
        </Box>
      )}
    </Box>
  );
}
