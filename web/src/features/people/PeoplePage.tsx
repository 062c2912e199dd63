import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { AccessAnswer } from '@incremen/contract';
import type { Problem } from '@incremen/core/basics';
import { useCallback, useEffect, useState } from 'react';
import { access } from '../../server/access.ts';
import { problemsOf } from '../../server/problemsOf.ts';
import { forgetThisDevice } from '../../mirror/sync.ts';
import { useAppSelector } from '../../state/store.ts';
import { phoneOrigin } from '../../shared/settings/usePhoneOrigin.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { HandsPicker } from '../../shared/settings/HandsPicker.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { ACCOUNT_FIELDS, accountOf, DoorForm } from './DoorForm.tsx';
import { HomeNetwork } from './HomeNetwork.tsx';
import { Members } from './Members.tsx';

/** Who comes in, from where, and with what. */
export function PeoplePage() {
  const operationId = useAppSelector((s) => s.mirror.operationId) ?? '';
  const waiting = useAppSelector((s) => s.mirror.outbox.length);
  const [me, setMe] = useState<AccessAnswer | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const look = useCallback(() => {
    access.me().then(setMe, (error: unknown) => setProblems(problemsOf(error)));
  }, []);
  useEffect(look, [look]);
  const attempt = useCallback(
    (work: Promise<unknown>) =>
      work.then(
        () => {
          setProblems([]);
          look();
        },
        (error: unknown) => setProblems(problemsOf(error)),
      ),
    [look],
  );

  async function leave(everywhere: boolean) {
    try {
      await access.signOut(everywhere);
      await forgetThisDevice();
      location.assign('/sign-in');
    } catch (error) {
      setProblems(problemsOf(error));
    }
  }

  return (
    <Box maxW="54rem">
      <PageHeader title="People and devices" />
      <ProblemList problems={problems} />
      {me === null ? null : (
        <Box display="grid" gap={8}>
          <Box as="section" aria-label="You">
            <SectionHeading>You</SectionHeading>
            {me.kind === 'machine' && me.demo && (
              <Text>The demonstration signs in by itself on this machine, and nobody else comes in.</Text>
            )}
            {me.kind === 'machine' && !me.demo && !me.hasOwner && (
              <Box maxW="26rem">
                <Text mb={4}>
                  Until there is an account, Incremen answers on this machine only, to whoever sits at it. An
                  owner account is the first step to a phone at the hive and to helpers.
                </Text>
                <DoorForm
                  verb="Make the owner account"
                  fields={ACCOUNT_FIELDS}
                  onSend={async (v) => {
                    await access.makeOwner(accountOf(v));
                    look();
                  }}
                />
              </Box>
            )}
            {(me.kind === 'account' || me.kind === 'helper') && (
              <>
                <Text mb={3}>
                  Signed in as <b>{me.name}</b>
                  {me.kind === 'helper' && ', for today'}.
                </Text>
                {waiting > 0 && (
                  <Text mb={3} color="near">
                    Something waits to be sent from this device: sign out when it is gone.
                  </Text>
                )}
                <Flex gap={3} wrap="wrap">
                  <Button
                    variant="outline"
                    bg="sheet"
                    minH="48px"
                    disabled={waiting > 0}
                    onClick={() => void leave(false)}
                  >
                    Sign out here
                  </Button>
                  {me.kind === 'account' && (
                    <Button
                      variant="outline"
                      bg="sheet"
                      minH="48px"
                      disabled={waiting > 0}
                      onClick={() => void leave(true)}
                    >
                      Sign out on every device
                    </Button>
                  )}
                </Flex>
              </>
            )}
          </Box>
          {me.kind === 'account' && me.lan !== null && (
            <HomeNetwork me={me} onSet={(open) => void attempt(access.setLan(open))} />
          )}
          {me.kind === 'account' && (
            <Members
              key={operationId}
              operationId={operationId}
              phone={phoneOrigin(me.addresses[0])}
              onProblems={setProblems}
            />
          )}
          <Box as="section" aria-label="Several at one device">
            <SectionHeading>Several at one device</SectionHeading>
            <Text mb={3} maxW="60ch">
              Where one tablet goes from hand to hand, each gets a name here. A tap at the hive says who is
              there; counts, inspections and the journal bear that name.
            </Text>
            <HandsPicker settings />
          </Box>
        </Box>
      )}
    </Box>
  );
}
