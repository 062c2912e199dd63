import { Box, Button, Flex, Spinner, Text } from '@chakra-ui/react';
import { useEffect } from 'react';
import { Navigate, Outlet, ScrollRestoration, useNavigation } from 'react-router';
import { CombPatterns } from '../drawing/CombPatterns.tsx';
import { useOperation } from '../mirror/hooks.ts';
import { load } from '../mirror/sync.ts';
import { Toaster } from '../ui/toaster.tsx';
import { Rail } from './Rail.tsx';
import { StatusStrip } from './StatusStrip.tsx';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** The frame around every view: rail on wide screens, bar at the thumb on narrow ones. */
export function Shell() {
  // Fetched after the first view: nobody waits for it there.
  useEffect(() => {
    void import('../workers/planner.ts').then(({ warmUpPlanner }) => warmUpPlanner());
  }, []);
  return (
    <Flex minH="100dvh" direction={{ base: 'column-reverse', md: 'row' }}>
      <CombPatterns />
      <Box
        as="a"
        {...{ href: '#main' }}
        position="absolute"
        left="-999px"
        _focus={{ left: 2, top: 2, zIndex: 10, bg: 'sheet', px: 3, py: 2 }}
      >
        Skip to the view
      </Box>
      <Rail />
      <Main />
      <Toaster />
    </Flex>
  );
}

/** Everything on screen in the words of the keeper's region. */
function Speech() {
  const { words } = useOperation();
  useEffect(() => {
    let stop = () => {};
    let left = false;
    void import('./regionalSpeech.ts').then(({ speakAs }) => {
      if (!left) stop = speakAs(document.body, words);
    });
    return () => {
      left = true;
      stop();
    };
  }, [words]);
  return null;
}

/** By itself, so that a view that is on its way draws nothing else anew. */
function Main() {
  const navigation = useNavigation();
  return (
    <Box
      as="main"
      id="main"
      flex="1"
      minW={0}
      px={{ base: 4, md: 6 }}
      pt={{ base: 4, md: 5 }}
      pb={{ base: '96px', md: 8 }}
      aria-busy={navigation.state !== 'idle'}
    >
      <Loaded />
    </Box>
  );
}

function Loaded() {
  const dispatch = useAppDispatch();
  const status = useAppSelector((s) => s.mirror.status);
  const failure = useAppSelector((s) => s.mirror.failure);
  const signedOut = useAppSelector((s) => s.mirror.signedOut);
  if (status === 'failed' && signedOut) return <Navigate to="/sign-in" replace />;
  if (status === 'failed') {
    return (
      <Box role="alert" maxW="32rem">
        <Text fontFamily="heading" fontSize="2xl" fontWeight="700" mb={2}>
          The records could not be loaded
        </Text>
        <Text mb={4}>{failure}</Text>
        <Button onClick={() => void dispatch(load())}>Try again</Button>
      </Box>
    );
  }
  if (status === 'loading') {
    return (
      <Flex align="center" gap={3} role="status" pt={10}>
        <Spinner color="accent" /> Opening the records…
      </Flex>
    );
  }
  return (
    <>
      <Speech />
      <StatusStrip />
      {/* Each view is where it was left: back from a hive to its place on the board. */}
      <ScrollRestoration getKey={({ pathname }) => pathname} />
      <Outlet />
    </>
  );
}
