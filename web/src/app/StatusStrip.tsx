import { Box, Button, Flex } from '@chakra-ui/react';
import { CloudOff, RefreshCw, Send, TriangleAlert, type LucideIcon } from 'lucide-react';
import { useSyncExternalStore, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useClockFault, useToday } from '../mirror/hooks.ts';
import { newVersion } from '../offline/installed.ts';
import { versionsApart } from '../server/api.ts';
import { count } from '../ui/format.ts';
import { dayInWords } from '@incremen/core/basics';
import { useAppSelector } from '../state/store.ts';
import common from '../ui/common.module.css';

/** What stands between this device and the server, as long as something does. */
export function StatusStrip() {
  const outbox = useAppSelector((s) => s.mirror.outbox);
  const reach = useAppSelector((s) => s.mirror.reach);
  const signedOut = useAppSelector((s) => s.mirror.signedOut);
  const keeps = useAppSelector((s) => s.mirror.keeps);
  const clockFault = useClockFault();
  const today = useToday();
  const update = useSyncExternalStore(newVersion.subscribe, newVersion.waits);
  const apart = useSyncExternalStore(versionsApart.subscribe, versionsApart.which);
  const refused = outbox.filter((e) => e.state === 'refused').length;
  const waiting = outbox.length - refused;
  return (
    <Box
      className={common.noPrint}
      display="grid"
      gap={2}
      mb={refused || clockFault || update || apart || !keeps || signedOut || reach === 'away' ? 3 : 0}
    >
      {clockFault !== null && (
        <Strip icon={TriangleAlert} alarm>
          The clock of this device is {count(Math.abs(clockFault), 'day')}{' '}
          {clockFault > 0 ? 'ahead' : 'behind'}. Today is taken from the server: {dayInWords(today)}. Set the
          clock before you go where there is no signal.
        </Strip>
      )}
      {refused > 0 && (
        <Strip icon={TriangleAlert} alarm>
          {count(refused, 'entry', 'entries')} could not be taken in. <OutboxLink>See why</OutboxLink>
        </Strip>
      )}
      {!keeps && (
        <Strip icon={TriangleAlert} alarm>
          This browser keeps nothing for Incremen: a private window, full, or switched off. You can work as
          long as the server is in reach, and not in a yard without signal.
        </Strip>
      )}
      {signedOut && (
        <Strip icon={TriangleAlert} alarm>
          You are signed out here. What you enter is kept on this device and sent once you have{' '}
          <Link to="/sign-in" style={{ textDecoration: 'underline', fontWeight: 600 }}>
            signed in
          </Link>
          .
        </Strip>
      )}
      {reach === 'away' && (
        <Strip icon={CloudOff}>
          The server is out of reach. Go on:{' '}
          {waiting > 0
            ? `${count(waiting, 'entry waits', 'entries wait')} here and will be sent`
            : 'what you enter is kept here and sent'}{' '}
          when it is back. {waiting > 0 && <OutboxLink>Show</OutboxLink>}
        </Strip>
      )}
      {reach !== 'away' && waiting > 2 && (
        <Strip icon={Send}>
          Sending {count(waiting, 'entry', 'entries')}. <OutboxLink>Show</OutboxLink>
        </Strip>
      )}
      {apart === 'server-old' && (
        <Strip icon={TriangleAlert} alarm>
          This page is newer than the server. Go on: what you enter is kept here, and sent once the newer
          version runs there too.
        </Strip>
      )}
      {apart === 'page-old' && !update && (
        <Strip icon={RefreshCw} alarm>
          The server has a newer version. What you enter is kept here, and sent by the newer page.{' '}
          <Button size="sm" minH="36px" variant="outline" bg="sheet" onClick={() => location.reload()}>
            Open it
          </Button>
        </Strip>
      )}
      {update && (
        <Strip icon={RefreshCw}>
          A newer version is here.{' '}
          <Button size="sm" minH="36px" variant="outline" bg="sheet" onClick={newVersion.open}>
            Open it
          </Button>
        </Strip>
      )}
    </Box>
  );
}

function OutboxLink({ children }: { readonly children: ReactNode }) {
  return (
    <Link to="/outbox" style={{ textDecoration: 'underline', fontWeight: 600 }}>
      {children}
    </Link>
  );
}

function Strip({
  icon,
  alarm = false,
  children,
}: {
  readonly icon: LucideIcon;
  readonly alarm?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <Flex
      role="status"
      align="center"
      gap={2.5}
      px={3}
      py={2}
      borderRadius="md"
      bg={alarm ? 'alarmSoft' : 'sunk'}
      borderLeftWidth="4px"
      borderColor={alarm ? 'alarm' : 'rest'}
      fontSize={{ base: 'sm', md: 'md' }}
    >
      <Box as={icon} boxSize="20px" flex="none" aria-hidden color={alarm ? 'alarm' : 'rest'} />
      <Box>{children}</Box>
    </Flex>
  );
}
