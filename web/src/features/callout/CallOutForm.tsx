import { byName } from '@incremen/core/basics';
import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { framesOfColony, placeOf, type Apiary, NUC_RECIPES, type NucRecipe } from '@incremen/core/records';
import { newCallOut } from '@incremen/core/callout';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { count } from '../../ui/format.ts';
import { ColonyChoice } from '../../shared/goals/ColonyChoice.tsx';
import { RecipeFields } from '../../shared/goals/RecipeFields.tsx';

/** Who gives, what stays, how many units and of what: then the calling begins. */
export function CallOutForm() {
  const apiary = useApiary();
  const day = useToday();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const asked = search.get('from');
  const from = asked !== null && apiary.colony[asked] ? asked : null;
  const { send, problems, busy } = useSend();
  const living = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null && c.hiveId !== null)
    .toSorted(byName);
  const [giverIds, setGiverIds] = useState<readonly string[]>(() => (from ? [from] : strongest(apiary)));
  const [units, setUnits] = useState(2);
  const [recipe, setRecipe] = useState<NucRecipe>(() => NUC_RECIPES[1]?.recipe as NucRecipe);
  const [boxes, setBoxes] = useState<'own' | 'shared'>('own');
  const [stays, setStays] = useState<'some' | 'whole'>('some');
  const [cells, setCells] = useState({ breeder: '', matingPlace: '' });
  const [keep, setKeep] = useState({ brood: 2, stores: 1 });
  const givers = giverIds.flatMap((id) => apiary.colony[id] ?? []);
  const frames = givers.reduce(
    (n, c) => n + framesOfColony(apiary, c).filter((p) => p.box.role === 'brood').length,
    0,
  );
  const yard = givers[0] && placeOf(apiary, givers[0]).yard;

  async function begin() {
    if (!yard) return;
    const wish = {
      yardId: yard.id,
      day,
      givers: givers.map((c) => ({
        colonyId: c.id,
        keepBroodCombs: keep.brood,
        keepStoresCombs: keep.stores,
        whole: stays === 'whole',
      })),
      names: freeNames(apiary, units),
      recipe,
      shared: boxes === 'shared',
      ...(recipe.queen === 'cell' && { cells }),
    };
    const name = `${givers.map((c) => c.name).join(' and ')} into ${count(units, 'part')}`;
    const callOut = newCallOut(wish, name.slice(0, 80), () => crypto.randomUUID());
    const sent = await send({ type: 'startCallOut', callOut });
    if (sent.ok) await navigate(`/callout/${callOut.id}`);
  }

  if (living.length === 0) {
    return (
      <>
        <Text mb={4}>There is no colony to break up yet.</Text>
        <Button asChild>
          <Link to="/setup">Set up hives</Link>
        </Button>
      </>
    );
  }
  return (
    <Box display="grid" gap={5}>
      <Heading as="h2" fontSize="xl">
        Begin a break-up
      </Heading>
      <Box>
        <Text fontWeight="600" mb={1}>
          Which colonies give?
        </Text>
        <ColonyChoice label="Donors" all={null} colonies={living} chosen={giverIds} onChange={setGiverIds} />
      </Box>
      <Choice
        label="What stays on the old stand"
        value={stays}
        options={[
          { id: 'some', label: 'The donor stays, with its field bees' },
          { id: 'whole', label: 'Nothing: split the whole colony' },
        ]}
        onChange={setStays}
      />
      {stays === 'some' ? (
        <Box display="grid" gap={2} maxW="26rem">
          <Stepper
            label="brood combs it keeps"
            value={keep.brood}
            min={0}
            max={10}
            onChange={(brood) => setKeep({ ...keep, brood })}
          />
          <Stepper
            label="food combs it keeps"
            value={keep.stores}
            min={0}
            max={10}
            onChange={(stores) => setKeep({ ...keep, stores })}
          />
        </Box>
      ) : (
        <Text color="inkSoft" fontSize="sm">
          All parts are carried off the old stand, at dusk or beyond 3 km (2 miles). Leave no box there for
          stragglers: it would gather the field bees of all.
        </Text>
      )}
      <Box display="grid" gap={2} maxW="26rem">
        <Stepper label="new colonies" value={units} min={1} max={12} onChange={setUnits} />
        <RecipeFields recipe={recipe} onChange={setRecipe} />
      </Box>
      {recipe.queen === 'cell' && (
        <Flex gap={3} wrap="wrap" maxW="40rem">
          <TextField
            label="The cells are of"
            placeholder="breeder colony or line"
            value={cells.breeder}
            onChange={(breeder) => setCells({ ...cells, breeder })}
          />
          <TextField
            label="Their queens mate at"
            placeholder="yard or mating place"
            value={cells.matingPlace}
            onChange={(matingPlace) => setCells({ ...cells, matingPlace })}
          />
        </Flex>
      )}
      <Choice
        label="Boxes"
        value={boxes}
        options={[
          { id: 'own', label: 'A box each' },
          { id: 'shared', label: 'Two in a box, a partition between' },
        ]}
        onChange={setBoxes}
      />
      <Text>
        {count(frames, 'frame')} to call for {count(units * recipe.slots, 'slot')} in {count(units, 'part')}.
        {recipe.slots * units > frames &&
          ' That is more than there is: fewer colonies, or fill them from the store.'}
      </Text>
      <ProblemList problems={problems} />
      <Flex>
        <Button minH="56px" loading={busy} disabled={givers.length === 0} onClick={() => void begin()}>
          Begin to call
        </Button>
      </Flex>
      <Text color="inkSoft" fontSize="sm" maxW="40rem">
        Veil and smoker. Frames hang in the shade and out of the wind, and none lies open longer than need be.
        No frame leaves a colony with suspect brood.
      </Text>
    </Box>
  );
}

/** Names that nobody has yet: Nuc 1, Nuc 2 and so on. */
function freeNames(apiary: Apiary, n: number): string[] {
  const taken = new Set(Object.values(apiary.colony).map((c) => c.name));
  const names: string[] = [];
  for (let k = 1; names.length < n; k++) if (!taken.has(`Nuc ${k}`)) names.push(`Nuc ${k}`);
  return names;
}

/** The colony with most frames is the one that is usually broken up. */
function strongest(apiary: Apiary): string[] {
  const [best] = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null && c.hiveId !== null)
    .map((c) => ({
      id: c.id,
      n: framesOfColony(apiary, c).filter((p) => p.reading && p.box.role === 'brood').length,
    }))
    .toSorted((a, b) => b.n - a.n);
  return best ? [best.id] : [];
}
