import { Box, Button } from '@chakra-ui/react';
import { CloudOff, RefreshCw, Send, TriangleAlert } from 'lucide-react';
import { Suspense, useSyncExternalStore, type ReactNode } from 'react';
import { lazyPart } from '../ui/lazyPart.tsx';
import { Link } from 'react-router';
import { useClockFault, useToday } from '../mirror/hooks.ts';
import { newVersion } from '../offline/installed.ts';
import { versionsApart } from '../server/api.ts';
import { count } from '../ui/format.ts';
import { useAppSelector } from '../state/store.ts';
import { Strip } from '../ui/Strip.tsx';
import common from '../ui/common.module.css';

const PracticeStrip = lazyPart(() => import('../shared/practice/PracticeStrip.tsx'));
const RareStrips = lazyPart(() => import('../ui/RareStrips.tsx'));

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
  const practising = useAppSelector((s) => s.mirror.practising);
  if (practising)
    return (
      <Suspense fallback={null}>
        <PracticeStrip />
      </Suspense>
    );
  const refused = outbox.filter((e) => e.state === 'refused').length;
  const waiting = outbox.length - refused;
  return (
    <Box
      className={common.noPrint}
      display="grid"
      gap={2}
      mb={refused || clockFault || update || apart || !keeps || signedOut || reach === 'away' ? 3 : 0}
    >
      {refused > 0 && (
        <Strip icon={TriangleAlert} alarm>
          {count(refused, 'entry', 'entries')} could not be taken in. <OutboxLink>See why</OutboxLink>
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
      {(apart !== null || !keeps || clockFault !== null) && (
        <Suspense fallback={null}>
          <RareStrips keeps={keeps} apart={update ? null : apart} clockFault={clockFault} today={today} />
        </Suspense>
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
