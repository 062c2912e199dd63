import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import { COUNT_COLUMNS, planCountImport, type CountImport } from '@incremen/core/formats';
import { dayInWords } from '@incremen/core/basics';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../../state/store.ts';
import { takeBack } from '../../mirror/actions.ts';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { readCsv } from './readCsv.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

const EXAMPLE = `yard,hive,box,slot,day,bees,eggs,open,capped,bee_bread,honey,queen
Home,Elm,1,1,2026-05-14,5,,,,1,8,
Home,Elm,1,2,2026-05-14,8,1,2,4,1,2,
Home,Elm,1,3,2026-05-14,9,2,3,4,,1,yes`;

/** Counts from a spreadsheet: preview first, every bad row explained, then all of the good ones at once. */
export function CountImportPage() {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { send, problems, busy, clear } = useSend();
  const [preview, setPreview] = useState<{ name: string; plan: CountImport } | null>(null);

  async function choose(file: File | undefined) {
    clear();
    if (!file) return;
    const rows = readCsv(await file.text());
    setPreview({ name: file.name, plan: planCountImport(apiary, rows, today, () => crypto.randomUUID()) });
  }

  async function take() {
    if (!preview) return;
    const sent = await send({ type: 'batch', commands: preview.plan.commands as never });
    if (!sent.ok) return;
    toaster.create({
      title: `${count(preview.plan.rowsTaken, 'frame')} taken in`,
      action: { label: 'Take back', onClick: () => void dispatch(takeBack(sent.entryId)) },
    });
    await navigate('/');
  }

  const plan = preview?.plan;
  const badLines = new Set(plan?.problems.map((p) => p.line)).size;
  return (
    <Box maxW="56rem">
      <PageHeader title="Counts from a file">
        {plan && plan.rowsTaken > 0 && (
          <Button loading={busy} onClick={() => void take()}>
            Take in {count(plan.rowsTaken, 'row')}
            {badLines > 0 && `, leave out ${badLines}`}
          </Button>
        )}
      </PageHeader>
      <Text as="label" display="block" fontWeight="600" mb={4}>
        A CSV file, one row a frame
        <Box
          as="input"
          {...{
            type: 'file',
            accept: '.csv,text/csv,text/plain',
            onChange: (e: React.ChangeEvent<HTMLInputElement>) => void choose(e.target.files?.[0]),
          }}
          display="block"
          mt={1}
          p={3}
          w="100%"
          bg="sheet"
          borderWidth="1px"
          borderRadius="lg"
        />
      </Text>
      <ProblemList problems={problems} />
      {preview && <Preview name={preview.name} plan={preview.plan} />}
      <SectionHeading mt={6}>Columns</SectionHeading>
      <Box
        as="pre"
        overflowX="auto"
        bg="sunk"
        p={3}
        borderRadius="lg"
        fontSize="sm"
        mb={3}
        tabIndex={0}
        role="region"
        aria-label="Example of a file"
      >
        {EXAMPLE}
      </Box>
      <Table.Root size="sm" bg="transparent">
        <Table.Body>
          {COUNT_COLUMNS.map((c) => (
            <Table.Row key={c.name} bg="transparent">
              <Table.Cell fontWeight="700" whiteSpace="nowrap" verticalAlign="top">
                {c.name}
                {c.needed && (
                  <Text as="span" color="accent">
                    {' '}
                    needed
                  </Text>
                )}
              </Table.Cell>
              <Table.Cell>{c.meaning}</Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
  );
}

function Preview({ name, plan }: { readonly name: string; readonly plan: CountImport }) {
  return (
    <Box as="section" aria-label="Preview" display="grid" gap={4}>
      {plan.counts.length === 0 && <Text fontWeight="600">Nothing in {name} can be taken in yet.</Text>}
      {plan.counts.length > 0 && (
        <Flex as="ul" listStyleType="none" wrap="wrap" gap={2}>
          {plan.counts.map((c) => (
            <Box as="li" key={`${c.hive}${c.day}`} bg="accentSoft" borderRadius="lg" px={3} py={1.5}>
              <b>{c.hive}</b>, {dayInWords(c.day)}: {count(c.frames, 'frame')}
              {c.isNew && ' (new hive)'}
            </Box>
          ))}
        </Flex>
      )}
      {plan.problems.length > 0 && (
        <Box>
          <Text fontWeight="700" mb={1}>
            Left out, and why
          </Text>
          <Box as="ul" listStyleType="none">
            {plan.problems.slice(0, 60).map((p) => (
              <Flex
                as="li"
                key={`${p.line}${p.column}${p.message}`}
                gap={4}
                borderTopWidth="1px"
                borderColor="line"
                py={1.5}
              >
                <Text w="5.5rem" flex="none" fontWeight="700" color="alarm">
                  line {p.line}
                </Text>
                <Box>
                  <Text fontWeight="600">{p.message}</Text>
                  <Text color="inkSoft">{p.remedy}</Text>
                </Box>
              </Flex>
            ))}
          </Box>
          {plan.problems.length > 60 && <Text>And {plan.problems.length - 60} more.</Text>}
        </Box>
      )}
    </Box>
  );
}
