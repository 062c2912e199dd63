import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  coloniesOfHive,
  coloniesOfYard,
  hivesOnStand,
  standsOfYard,
  type Apiary,
  type CommandOf,
  type Yard,
} from '@incremen/core/records';
import { dayInWords } from '@incremen/core/basics';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { LineIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { RouteError } from '../../ui/RouteError.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { typedNumber } from '../../ui/formFields.tsx';
import common from '../../ui/common.module.css';
import styles from './StandsPage.module.css';

/** A yard as it lies: its stands in a plan that is arranged by dragging, its name, its place, and closing it. */
export function StandsPage() {
  const apiary = useApiary();
  const { yardId = '' } = useParams();
  const yard = apiary.yard[yardId];
  if (!yard) return <RouteError missing />;
  return (
    <Box maxW="64rem">
      <PageHeader
        title={`Stands of ${yard.name}`}
        aside={yard.closedOn ? `Closed since ${dayInWords(yard.closedOn)}` : yard.note}
      >
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}/season`}>The year here</Link>
        </Button>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/yards/${yard.id}`}>Back to the yard</Link>
        </Button>
      </PageHeader>
      <Plan yard={yard} />
      <YardFacts key={yard.id} yard={yard} />
    </Box>
  );
}

type Spot = { readonly x: number; readonly y: number };

/** Stands that nobody has put anywhere stand in rows. */
function spotsOf(apiary: Apiary, yardId: string): Map<string, Spot> {
  const stands = standsOfYard(apiary, yardId);
  const columns = Math.max(1, Math.ceil(Math.sqrt(stands.length * 1.6)));
  const rows = Math.max(1, Math.ceil(stands.length / columns));
  return new Map(
    stands.map((s, i) => [
      s.id,
      s.spot ?? {
        x: (100 * ((i % columns) + 0.5)) / columns,
        y: (100 * (Math.floor(i / columns) + 0.5)) / rows,
      },
    ]),
  );
}

const within = (n: number) => Math.round(Math.min(96, Math.max(4, n)) * 10) / 10;
/** How far an arrow key moves a stand, in hundredths of the plan. */
const STEP = 4;

function Plan({ yard }: { readonly yard: Yard }) {
  const apiary = useApiary();
  const { tell, problems } = useTell();
  const ground = useRef<HTMLDivElement>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const stands = standsOfYard(apiary, yard.id);
  const spots = spotsOf(apiary, yard.id);
  const put = (id: string, spot: Spot) => {
    const moved: CommandOf<'arrangeStands'>['stands'] = stands.map((s) => ({
      id: s.id,
      order: s.order,
      spot: s.id === id ? { x: within(spot.x), y: within(spot.y) } : (spots.get(s.id) ?? null),
    }));
    void tell({ type: 'arrangeStands', yardId: yard.id, stands: moved }, 'Plan saved');
  };
  const drop = ({ active, delta }: DragEndEvent) => {
    const size = ground.current?.getBoundingClientRect();
    const from = spots.get(String(active.id));
    if (!size || !from) return;
    put(String(active.id), {
      x: from.x + (100 * delta.x) / size.width,
      y: from.y + (100 * delta.y) / size.height,
    });
  };
  if (stands.length === 0) return <Text mb={6}>No stand yet: it comes with the first hive.</Text>;
  return (
    <Box as="section" aria-label="Plan of the yard" mb={6}>
      <Text mb={2} color="inkSoft">
        Drag each stand to its place; arrow keys move the one that has the focus.
      </Text>
      <DndContext sensors={sensors} onDragEnd={drop}>
        <div className={styles.plan} ref={ground}>
          <span className={styles.north} aria-hidden>
            N ↑
          </span>
          {stands.map((s) => {
            const names = hivesOnStand(apiary, s.id).flatMap((h) =>
              coloniesOfHive(apiary, h.id).map((c) => c.name),
            );
            return (
              <Stand
                key={s.id}
                id={s.id}
                name={s.name}
                colonies={names}
                spot={spots.get(s.id) ?? { x: 50, y: 50 }}
                chosen={chosen === s.id}
                onChoose={() => setChosen(s.id)}
                onMove={(dx, dy) => {
                  const at = spots.get(s.id);
                  if (at) put(s.id, { x: at.x + dx * STEP, y: at.y + dy * STEP });
                }}
              />
            );
          })}
        </div>
      </DndContext>
      <ProblemList problems={problems} />
    </Box>
  );
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function Stand({
  id,
  name,
  colonies,
  spot,
  chosen,
  onChoose,
  onMove,
}: {
  readonly id: string;
  readonly name: string;
  readonly colonies: readonly string[];
  readonly spot: Spot;
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onMove: (dx: number, dy: number) => void;
}) {
  const { setNodeRef, listeners, transform } = useDraggable({ id });
  const shift = transform ? ` translate(${transform.x}px, ${transform.y}px)` : '';
  return (
    <button
      type="button"
      ref={setNodeRef}
      className={styles.stand}
      data-free={colonies.length === 0 || undefined}
      data-chosen={chosen || undefined}
      aria-label={`Stand ${name}${colonies.length > 0 ? `, ${colonies.join(', ')}` : ', free'}`}
      style={{ left: `${spot.x}%`, top: `${spot.y}%`, transform: `translate(-50%, -50%)${shift}` }}
      {...listeners}
      onFocus={onChoose}
      onKeyDown={(e) => {
        const arrow = ARROWS[e.key];
        if (!arrow) return;
        e.preventDefault();
        onMove(...arrow);
      }}
    >
      <svg width="26" height="18" viewBox="0 0 26 18" aria-hidden>
        <path d="M2 6h22v11H2zM1 3h24v3H1z" fill="none" stroke="currentColor" strokeWidth="1.6" />
      </svg>
      {colonies.length > 0 ? colonies.join(' · ') : name}
    </button>
  );
}

/** Its name, its place on the globe, and whether it is still used. */
const degreesOrNull = (what: string, most: number) =>
  z.union([z.literal('').transform(() => null), typedNumber(what, -most, most)]);
const yardFacts = z
  .strictObject({
    name: z.string().trim().min(1, 'Give the yard a name.').max(80),
    note: z.string().max(4000),
    latitude: degreesOrNull('the latitude', 90),
    longitude: degreesOrNull('the longitude', 180),
  })
  .refine((y) => (y.latitude === null) === (y.longitude === null), {
    path: ['longitude'],
    message: 'A place needs both, or neither.',
  });

function YardFacts({ yard }: { readonly yard: Yard }) {
  const apiary = useApiary();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const living = coloniesOfYard(apiary, yard.id).length;
  return (
    <Flex gap={10} wrap="wrap" align="flex-start">
      <CheckedForm
        label="The yard"
        verb="Save"
        schema={yardFacts}
        start={{
          name: yard.name,
          note: yard.note,
          latitude: String(yard.position?.latitude ?? ''),
          longitude: String(yard.position?.longitude ?? ''),
        }}
        busy={busy}
        problems={problems}
        onTell={({ name, note, latitude, longitude }) =>
          tell(
            {
              type: 'editYard',
              yardId: yard.id,
              name,
              note,
              position: latitude === null || longitude === null ? null : { latitude, longitude },
            },
            `${name}: saved`,
          )
        }
      >
        <SectionHeading mb={0}>The yard</SectionHeading>
        <LineIn name="name" label="Name" maxLength={80} />
        <LineIn name="note" label="Note" maxLength={4000} />
        <LineIn
          name="latitude"
          label="Latitude, in degrees north"
          numeric
          hint="South of the equator it is negative."
        />
        <LineIn name="longitude" label="Longitude, in degrees east" numeric />
      </CheckedForm>
      <Box as="section" maxW="22rem">
        <SectionHeading>{yard.closedOn ? 'It is closed' : 'Close it'}</SectionHeading>
        <Text mb={3} color="inkSoft">
          {living > 0
            ? 'Move its colonies away first, or enter how they ended.'
            : 'A closed yard is offered nowhere; what happened there stays in the records.'}
        </Text>
        <Button
          variant="outline"
          bg="sheet"
          disabled={living > 0}
          onClick={() =>
            void tell(
              { type: 'editYard', yardId: yard.id, closedOn: yard.closedOn ? null : today },
              yard.closedOn ? 'Open again' : 'Closed',
            )
          }
        >
          {yard.closedOn ? 'Open it again' : 'Close this yard'}
        </Button>
        <Text mt={4}>
          <Link className={common.inlineLink} to={`/setup?yard=${yard.id}`}>
            Add hives to it
          </Link>
        </Text>
      </Box>
    </Flex>
  );
}
