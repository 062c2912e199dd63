import { Box, Button, Flex, Spinner, Text } from '@chakra-ui/react';
import {
  BookOpen,
  CalendarClock,
  Hammer,
  LayoutGrid,
  Route,
  SlidersHorizontal,
  type LucideIcon,
} from 'lucide-react';
import { memo, useEffect } from 'react';
import { Navigate, NavLink, Outlet, ScrollRestoration, useNavigation } from 'react-router';
import { CombPatterns } from '../drawing/CombPatterns.tsx';
import { load } from '../mirror/sync.ts';
import { Toaster } from '../ui/toaster.tsx';
import { LookSwitch } from '../shared/settings/LookSwitch.tsx';
import { StatusStrip } from './StatusStrip.tsx';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import common from '../ui/common.module.css';

const PLACES: readonly { to: string; label: string; icon: LucideIcon; end?: boolean }[] = [
  { to: '/', label: 'Board', icon: LayoutGrid, end: true },
  { to: '/plan', label: 'Plan', icon: Route },
  { to: '/follow-ups', label: 'Follow-ups', icon: CalendarClock },
  { to: '/worksheet', label: 'Work', icon: Hammer },
  { to: '/records', label: 'Records', icon: BookOpen },
  { to: '/rules', label: 'House rules', icon: SlidersHorizontal },
];

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
      <StatusStrip />
      {/* Each view is where it was left: back from a hive to its place on the board. */}
      <ScrollRestoration getKey={({ pathname }) => pathname} />
      <Outlet />
    </>
  );
}

const Rail = memo(function Rail() {
  return (
    <Flex
      as="nav"
      aria-label="Views"
      className={common.noPrint}
      bg="rail"
      color="railInk"
      direction={{ base: 'row', md: 'column' }}
      position={{ base: 'fixed', md: 'sticky' }}
      bottom={{ base: 0, md: 'auto' }}
      insetX={{ base: 0, md: 'auto' }}
      top={{ md: 0 }}
      h={{ md: '100dvh' }}
      w={{ md: '188px' }}
      flex="none"
      gap={1}
      px={{ base: 1, md: 3 }}
      py={{ base: 1, md: 4 }}
      zIndex={5}
      pb={{ base: 'calc(4px + env(safe-area-inset-bottom))', md: 4 }}
    >
      <Flex display={{ base: 'none', md: 'flex' }} align="center" gap={2.5} px={2} pb={5}>
        <img
          src="/icon.svg"
          alt=""
          width={30}
          height={30}
          style={{ borderRadius: 7, outline: '1px solid var(--chakra-colors-rail-line)' }}
        />
        <Text fontFamily="heading" fontSize="2xl" fontWeight="700" letterSpacing="-0.02em">
          Incremen
        </Text>
      </Flex>
      {PLACES.map((p) => (
        <NavLink key={p.to} to={p.to} end={p.end ?? false} style={{ flex: '1 1 0', maxHeight: 56 }}>
          {({ isActive }) => (
            <Flex
              direction={{ base: 'column', md: 'row' }}
              align="center"
              justify={{ base: 'center', md: 'flex-start' }}
              gap={{ base: 0.5, md: 3 }}
              minH="48px"
              px={{ base: 1, md: 3 }}
              borderRadius="lg"
              bg={isActive ? 'whiteAlpha.300' : 'transparent'}
              fontWeight={isActive ? '700' : '400'}
              fontSize={{ base: 'xs', md: 'md' }}
              _hover={{ bg: 'whiteAlpha.200' }}
            >
              <p.icon size={20} aria-hidden />
              <span style={{ whiteSpace: 'nowrap' }}>{p.label}</span>
            </Flex>
          )}
        </NavLink>
      ))}
      <Box display={{ base: 'none', md: 'block' }} mt="auto">
        <LookSwitch />
      </Box>
    </Flex>
  );
});
