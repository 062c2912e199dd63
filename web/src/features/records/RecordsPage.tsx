import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { API_PATHS } from '@incremen/contract';
import type { Problem } from '@incremen/core/basics';
import { CalendarRange, Crown, Download, FileSpreadsheet, Upload, Users } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { problemsOf } from '../../server/problemsOf.ts';
import { reload } from '../../mirror/sync.ts';
import { api } from '../../server/api.ts';
import { useOperation } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { toaster } from '../../ui/toaster.tsx';
import { Journal } from './Journal.tsx';
import { KeptBackups } from './KeptBackups.tsx';
import { Tables } from './Tables.tsx';
import { Visits } from './Visits.tsx';

/** In and out, and the journal of everything that was done. */
export function RecordsPage() {
  const operation = useOperation();
  const operationId = useAppSelector((s) => s.mirror.operationId) ?? '';
  return (
    <Box maxW="52rem">
      <PageHeader title="Records" aside={operation.name} />
      <Flex gap={3} wrap="wrap" mb={3}>
        <Button asChild minH="48px">
          <a href={API_PATHS.backup(operationId)} download="incremen-apiary.zip">
            <Download size={18} aria-hidden /> Back up to a file
          </a>
        </Button>
        <Button asChild variant="outline" bg="sheet" minH="48px">
          <Link to="/queens">
            <Crown size={18} aria-hidden /> Queens
          </Link>
        </Button>
        <Button asChild variant="outline" bg="sheet" minH="48px">
          <Link to="/records/year">
            <CalendarRange size={18} aria-hidden /> The year
          </Link>
        </Button>
        <Button asChild variant="outline" bg="sheet" minH="48px">
          <Link to="/people">
            <Users size={18} aria-hidden /> People and devices
          </Link>
        </Button>
        <Button asChild variant="outline" bg="sheet" minH="48px">
          <Link to="/records/counts">
            <FileSpreadsheet size={18} aria-hidden /> Import counts
          </Link>
        </Button>
      </Flex>
      <Tables />
      <Restore />
      <KeptBackups />
      <Visits />
      <Journal />
    </Box>
  );
}

/** Reads a whole operation back from its file, after asking once more. */
function Restore() {
  const dispatch = useAppDispatch();
  const operationId = useAppSelector((s) => s.mirror.operationId) ?? '';
  const input = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<File | null>(null);
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  async function choose(file: File | undefined) {
    setProblems([]);
    setChosen(null);
    if (!file) return;
    if (await looksLikeABackup(file)) {
      setChosen(file);
      return;
    }
    setProblems([
      {
        code: 'not-json',
        path: [],
        message: `${file.name} is not a backup that Incremen wrote.`,
        remedy: 'Choose a file written by “Back up to a file”.',
      },
    ]);
  }

  async function replace() {
    if (!chosen) return;
    setBusy(true);
    try {
      const { picturesMissing } = await api.restore(operationId, chosen);
      setChosen(null);
      toaster.create({
        title: `${chosen.name} is restored`,
        ...(picturesMissing > 0 ? { description: `Photos without their picture: ${picturesMissing}.` } : {}),
      });
      await dispatch(reload());
    } catch (error) {
      setProblems(problemsOf(error));
      setChosen(null);
    } finally {
      setBusy(false);
    }
  }

  return (
    <Box mb={8}>
      <input
        ref={input}
        type="file"
        accept="application/zip,.zip,application/json,.json"
        hidden
        aria-label="File of a whole operation"
        onChange={(e) => {
          void choose(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      {chosen ? (
        <Flex
          role="alertdialog"
          aria-label="Replace everything?"
          gap={3}
          align="center"
          wrap="wrap"
          bg="nearSoft"
          borderLeftWidth="4px"
          borderColor="near"
          borderRadius="md"
          px={4}
          py={3}
        >
          <Text flex="1 1 260px">
            <b>{chosen.name}</b> takes the place of everything that is here now. Back up first if you want to
            keep what is here.
          </Text>
          <Button loading={busy} loadingText="Restoring…" onClick={() => void replace()}>
            Replace everything
          </Button>
          <Button variant="ghost" disabled={busy} onClick={() => setChosen(null)}>
            Cancel
          </Button>
        </Flex>
      ) : (
        <Button variant="ghost" px={2} onClick={() => input.current?.click()}>
          <Upload size={18} aria-hidden /> Restore a backup
        </Button>
      )}
      <Box mt={2}>
        <ProblemList problems={problems} />
      </Box>
      <Heading as="h2" srOnly>
        Journal
      </Heading>
    </Box>
  );
}

/** An archive, or JSON that names itself in its first lines; the server reads the rest. */
async function looksLikeABackup(file: File): Promise<boolean> {
  const head = await file.slice(0, 4096).text();
  return head.startsWith('PK') || (head.trimStart().startsWith('{') && head.includes('incremen-apiary'));
}
