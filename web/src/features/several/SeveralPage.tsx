import { Box, Text } from '@chakra-ui/react';
import { hivesToday } from '@incremen/core/assessment';
import { coloniesOfYard, type Colony, type Command } from '@incremen/core/records';
import { Cross, Droplets, MapPin, SearchCheck, type LucideIcon } from 'lucide-react';
import { useMemo, useState, type ComponentType } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { useTell } from '../../shared/telling/useTell.ts';
import { count } from '../../ui/format.ts';
import { IconKeys } from '../../ui/IconKeys.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { FedForm } from './FedForm.tsx';
import { FineForm } from './FineForm.tsx';
import { HivePicker } from './HivePicker.tsx';
import { MovedForm } from './MovedForm.tsx';
import { TreatedForm } from './TreatedForm.tsx';

/** What each form is given: the colonies that are ticked, and how to tell what was done to them. */
export interface SeveralProps {
  readonly colonies: readonly Colony[];
  /** Keeps all of it or nothing; the words say what happened to how many. */
  readonly onTell: (commands: readonly Command[], did: string) => Promise<void>;
  readonly busy: boolean;
}

const DEEDS: readonly {
  readonly id: string;
  readonly name: string;
  readonly icon: LucideIcon;
  readonly Form: ComponentType<SeveralProps>;
  /** The hive must be opened for it. */
  readonly opens: boolean;
}[] = [
  { id: 'fed', name: 'Fed', icon: Droplets, Form: FedForm, opens: false },
  { id: 'fine', name: 'Inspected, all fine', icon: SearchCheck, Form: FineForm, opens: true },
  { id: 'treated', name: 'Treated', icon: Cross, Form: TreatedForm, opens: true },
  { id: 'moved', name: 'Moved to another yard', icon: MapPin, Form: MovedForm, opens: false },
];

/** The same thing done to many hives on one evening: tick the hives, say once what was done. */
export function SeveralPage() {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const { tell, problems, busy } = useTell();
  const yards = Object.values(apiary.yard).filter((y) => coloniesOfYard(apiary, y.id).length > 0);
  const yard = yards.find((y) => y.id === params.get('yard')) ?? yards[0];
  const deed = DEEDS.find((d) => d.id === params.get('did'));
  const colonies = useMemo(() => (yard ? coloniesOfYard(apiary, yard.id) : []), [apiary, yard]);
  // Who rests is not ticked by itself where the hive would have to be opened.
  const resting = useMemo(
    () => new Map(hivesToday(apiary, today).mustNot.map((h) => [h.colony.id, h.why])),
    [apiary, today],
  );
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const isOn = (id: string) => taken.has(id) || (!left.has(id) && !(deed?.opens && resting.has(id)));
  const chosen = colonies.filter((c) => isOn(c.id));
  const say = (to: Record<string, string>) =>
    setParams({ ...Object.fromEntries(params), ...to }, { replace: true });
  const turn = (ids: readonly string[], on: boolean) => {
    setTaken((t) => new Set(on ? [...t, ...ids] : [...t].filter((id) => !ids.includes(id))));
    setLeft((l) => new Set(on ? [...l].filter((id) => !ids.includes(id)) : [...l, ...ids]));
  };
  if (!yard)
    return (
      <Box>
        <PageHeader title="Several hives at once" />
        <Text>
          No hive stands in a yard yet. <Link to="/setup">Set up a yard</Link> first.
        </Text>
      </Box>
    );
  return (
    <Box maxW="60rem">
      <PageHeader title="Several hives at once" aside="Say it once for all of them. It can be undone." />
      <IconKeys label="What was done" keys={DEEDS} chosen={deed?.id} onChoose={(did) => say({ did })} />
      <HivePicker
        yards={yards}
        yard={yard}
        colonies={colonies}
        resting={deed?.opens ? resting : NOBODY}
        isOn={isOn}
        onYard={(yardId) => say({ yard: yardId })}
        onTurn={turn}
      />
      {!deed && <Text color="inkSoft">Now say what was done to them.</Text>}
      {deed && chosen.length === 0 && <Text role="status">Tick the hives that it was done to.</Text>}
      {deed && chosen.length > 0 && (
        <Box as="section" key={deed.id} aria-label={deed.name} mt={5}>
          <SectionHeading>
            {deed.name}: {count(chosen.length, 'colony', 'colonies')}
          </SectionHeading>
          <deed.Form
            colonies={chosen}
            busy={busy}
            onTell={async (commands, did) => {
              const told = await tell({ type: 'batch', commands: commands as never }, did);
              if (told) await navigate(`/yards/${yard.id}`);
            }}
          />
          <ProblemList problems={problems} />
        </Box>
      )}
    </Box>
  );
}

const NOBODY: ReadonlyMap<string, string> = new Map();
