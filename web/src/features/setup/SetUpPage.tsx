import { Box, Button, Field, Flex, Input, NativeSelect, Text } from '@chakra-ui/react';
import { allFrameSizes, type Command, type FrameSizeId } from '@incremen/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { hiveNames } from './hiveNames.ts';

/** Sets up a yard and its hives, many at once. Nothing is asked that is not needed yet. */
export function SetUpPage() {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { send, problems, busy } = useSend();
  const known = params.get('yard') ? apiary.yard[params.get('yard') ?? ''] : undefined;
  const [yardName, setYardName] = useState('');
  const [names, setNames] = useState('E1 to E4');
  const [sizeId, setSizeId] = useState<FrameSizeId>('langstroth-deep');
  const [slots, setSlots] = useState<'5' | '6' | '8' | '10' | '11' | '12'>('10');
  const [boxes, setBoxes] = useState<'1' | '2' | '3'>('1');
  const list = hiveNames(names);

  async function setUp() {
    const newId = () => crypto.randomUUID();
    const yardId = known?.id ?? newId();
    const commands: Command[] = [
      ...(known ? [] : [{ type: 'addYard' as const, yard: { id: yardId, name: yardName, note: '' } }]),
      {
        type: 'addHives',
        yardId,
        day: today,
        hives: list.map((name) => ({
          hiveId: newId(),
          standId: newId(),
          colonyId: newId(),
          name,
          boxes: Array.from({ length: Number(boxes) }, () => ({
            id: newId(),
            sizeId,
            slots: Number(slots),
            role: 'brood' as const,
            frames: Array.from({ length: Number(slots) }, (_, i) => ({
              id: newId(),
              slot: i + 1,
              blank: 'drawn' as const,
              combYear: null,
            })),
          })),
        })),
      },
    ];
    const sent = await send({ type: 'batch', commands: commands as never });
    if (sent.ok) await navigate(`/yards/${yardId}`);
  }

  const yardMissing = !known && yardName.trim() === '';
  return (
    <Box maxW="40rem">
      <PageHeader title={known ? `Hives for ${known.name}` : 'A yard and its hives'} />
      <Box
        as="form"
        display="grid"
        gap={5}
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          void setUp();
        }}
      >
        {!known && (
          <Field.Root required>
            <Field.Label>Name of the yard</Field.Label>
            <Input
              size="lg"
              bg="sheet"
              value={yardName}
              onChange={(e) => setYardName(e.target.value)}
              placeholder="As you call it"
              maxLength={80}
            />
          </Field.Root>
        )}
        <Field.Root required invalid={list.length === 0}>
          <Field.Label>Names of the hives</Field.Label>
          <Input size="lg" bg="sheet" value={names} onChange={(e) => setNames(e.target.value)} />
          <Field.HelperText color="inkSoft">
            {list.length > 0
              ? `${list.length} hives: ${list.slice(0, 6).join(', ')}${list.length > 6 ? ', …' : ''}`
              : 'A range such as “E1 to E12”, or names with commas.'}
          </Field.HelperText>
        </Field.Root>
        <Choice
          label="Boxes of each hive"
          value={boxes}
          onChange={setBoxes}
          options={[
            { id: '1', label: 'One' },
            { id: '2', label: 'Two' },
            { id: '3', label: 'Three' },
          ]}
        />
        <Choice
          label="Frames in a box"
          value={slots}
          onChange={setSlots}
          options={(['5', '6', '8', '10', '11', '12'] as const).map((n) => ({ id: n, label: n }))}
        />
        <Field.Root>
          <Field.Label>Frame size</Field.Label>
          <NativeSelect.Root size="lg">
            <NativeSelect.Field
              bg="sheet"
              value={sizeId}
              onChange={(e) => setSizeId(e.target.value as FrameSizeId)}
            >
              {allFrameSizes().map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
        </Field.Root>
        <ProblemList problems={problems} />
        <Flex gap={3} align="center" wrap="wrap">
          <Button type="submit" size="lg" disabled={list.length === 0 || yardMissing} loading={busy}>
            Put {list.length === 1 ? 'one hive' : `${list.length} hives`} on their stands
          </Button>
          {yardMissing && <Text color="inkSoft">The yard needs a name.</Text>}
        </Flex>
      </Box>
    </Box>
  );
}
