import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { API_PATHS, type KeptBackup, type RoomAnswer } from '@incremen/contract';
import type { Problem } from '@incremen/core/basics';
import { Archive, TriangleAlert } from 'lucide-react';
import { useEffect, useState } from 'react';
import { reload } from '../../mirror/sync.ts';
import { ask } from '../../server/api.ts';
import { problemsOf } from '../../server/problemsOf.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { toaster } from '../../ui/toaster.tsx';

const REASONS: Readonly<Record<KeptBackup['kind'], string>> = {
  daily: 'of the day',
  'before-import': 'before other records came in',
  asked: 'asked for',
};

/** Restoring years of counts takes its time. */
const RESTORE_MS = 3_600_000;
const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const megabytes = (bytes: number) =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** The backups that the server keeps by itself, how much room it has, and the way back to one of them. */
export function KeptBackups() {
  const op = useAppSelector((s) => s.mirror.operationId) ?? '';
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState<readonly KeptBackup[] | null>(null);
  const [room, setRoom] = useState<RoomAnswer | null>(null);
  const [sure, setSure] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  const [turn, setTurn] = useState(0);
  useEffect(() => {
    let current = true;
    // Without signal, or where none are kept, there is nothing to show.
    void Promise.all([
      ask<RoomAnswer>('GET', API_PATHS.room(op)).catch(() => null),
      ask<KeptBackup[]>('GET', API_PATHS.backups(op)).catch(() => null),
    ]).then(([is, are]) => {
      if (!current) return;
      setRoom(is);
      setKept(are);
    });
    return () => {
      current = false;
    };
  }, [op, turn]);

  async function doing(work: () => Promise<string>) {
    setBusy(true);
    setProblems([]);
    try {
      const title = await work();
      toaster.create({ title, type: 'success' });
      setTurn((n) => n + 1);
    } catch (error) {
      setProblems(problemsOf(error));
    }
    setSure(null);
    setBusy(false);
  }
  const makeOne = () =>
    doing(async () => {
      await ask('POST', API_PATHS.backups(op), {}, RESTORE_MS);
      return 'Kept, and read back whole';
    });
  const goBack = (b: KeptBackup) =>
    doing(async () => {
      await ask('POST', `${API_PATHS.backups(op, b.name)}/restore`, {}, RESTORE_MS);
      await dispatch(reload());
      return `Everything is as it was on ${when.format(new Date(b.at))}`;
    });

  if (kept === null && (room?.warnings.length ?? 0) === 0) return null;
  return (
    <Box as="section" mb={8} aria-label="Backups">
      <SectionHeading>Backups</SectionHeading>
      {room?.warnings.map((w) => (
        <Flex key={w} role="status" gap={2.5} mb={3} px={3} py={2} borderRadius="md" bg="alarmSoft">
          <Box as={TriangleAlert} boxSize="20px" flex="none" aria-hidden color="alarm" />
          <Text>{w}</Text>
        </Flex>
      ))}
      {kept !== null && (
        <>
          <Text color="inkSoft" maxW="60ch" mb={3}>
            The server keeps one a day by itself, and one before other records take the place of these. Each
            was read back whole. They lie on the same disk: now and then back up to a file, and keep it
            elsewhere.
          </Text>
          <ProblemList problems={problems} />
          <Button
            minH="48px"
            variant="outline"
            bg="sheet"
            loading={busy && sure === null}
            onClick={() => void makeOne()}
          >
            <Archive size={18} aria-hidden /> Keep one now
          </Button>
          <Box as="ul" listStyleType="none" mt={4}>
            {kept.slice(0, 12).map((b) => (
              <Flex
                as="li"
                key={b.name}
                gap={3}
                py={2}
                wrap="wrap"
                align="center"
                borderTopWidth="1px"
                borderColor="line"
              >
                <Text minW="11rem" fontWeight="600">
                  {when.format(new Date(b.at))}
                </Text>
                <Text flex="1" color="inkSoft">
                  {REASONS[b.kind]}, {megabytes(b.bytes)}
                </Text>
                {sure === b.name ? (
                  <Flex gap={2} align="center" wrap="wrap">
                    <Text>What is there now is kept first.</Text>
                    <Button size="sm" minH="44px" loading={busy} onClick={() => void goBack(b)}>
                      Yes, go back
                    </Button>
                    <Button size="sm" minH="44px" variant="outline" bg="sheet" onClick={() => setSure(null)}>
                      No
                    </Button>
                  </Flex>
                ) : (
                  <Button
                    size="sm"
                    minH="44px"
                    variant="outline"
                    bg="sheet"
                    aria-label={`Go back to ${when.format(new Date(b.at))}`}
                    onClick={() => setSure(b.name)}
                  >
                    Go back to this
                  </Button>
                )}
              </Flex>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}
