import { Button, Text } from '@chakra-ui/react';
import { API_PATHS } from '@incremen/contract';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ask } from '../../server/api.ts';
import { useAppSelector } from '../../state/store.ts';
import common from '../../ui/common.module.css';

/** Whether this browser is told, could be, or why it cannot. */
type State = 'unknown' | 'asking' | 'off' | 'on' | 'denied' | 'cannot' | 'failed';

/** Tells this device the evening before what is due, where browser and address allow it. */
export function Reminders() {
  const operationId = useAppSelector((s) => s.mirror.operationId);
  const [state, setState] = useState<State>('unknown');
  useEffect(() => {
    let current = true;
    void registration()
      .then(async (worker) =>
        worker ? ((await worker.pushManager.getSubscription()) ? 'on' : 'off') : 'cannot',
      )
      .catch((): State => 'cannot')
      .then((found) => current && setState(found as State));
    return () => {
      current = false;
    };
  }, []);
  if (operationId === null) return null;
  const turnOn = async () => {
    setState('asking');
    try {
      if ((await Notification.requestPermission()) !== 'granted') {
        setState('denied');
        return;
      }
      const worker = await registration();
      const { publicKey } = await ask<{ publicKey: string }>('GET', API_PATHS.reminders(operationId));
      const subscription = await worker?.pushManager.subscribe({
        userVisibleOnly: true,
        applicationServerKey: publicKey,
      });
      const { endpoint, keys } = subscription?.toJSON() ?? {};
      await ask('POST', API_PATHS.reminders(operationId), { endpoint, keys });
      setState('on');
    } catch {
      setState('failed');
    }
  };
  const turnOff = async () => {
    setState('asking');
    const subscription = await (await registration())?.pushManager.getSubscription();
    if (subscription) {
      await ask('DELETE', API_PATHS.reminders(operationId), { endpoint: subscription.endpoint }).catch(
        () => undefined,
      );
      await subscription.unsubscribe();
    }
    setState('off');
  };
  return (
    <>
      <Text maxW="38rem">
        The evening before, what is due tomorrow. It is on Today in any case, and in the{' '}
        <Link to="/inspections" className={common.inlineLink}>
          calendar
        </Link>{' '}
        with an alarm at six.
      </Text>
      {state !== 'on' && state !== 'cannot' && state !== 'unknown' && (
        <Button
          variant="outline"
          bg="sheet"
          minH="44px"
          loading={state === 'asking'}
          loadingText="Remind this device"
          onClick={() => void turnOn()}
        >
          Remind this device
        </Button>
      )}
      {state === 'on' && (
        <Button variant="outline" bg="sheet" minH="44px" onClick={() => void turnOff()}>
          Stop reminding this device
        </Button>
      )}
      <Text role="status" color="inkSoft" maxW="38rem">
        {SAYS[state]}
      </Text>
    </>
  );
}

const SAYS: Readonly<Record<State, string>> = {
  unknown: 'Looking whether this device can be reminded…',
  asking: '',
  off: '',
  on: 'This device is told each evening at about six, if anything is due.',
  denied: 'Notifications are not allowed here. Allow them for this page in the settings of the browser.',
  cannot:
    'This browser cannot be reached here: it takes the secure address of the home network, and the application put on the home screen.',
  failed:
    'Its push service could not be reached. The server needs the internet for that; the calendar works without.',
};

/** The worker comes a moment after the first view; one that is not there after so long does not come. */
const COMES_WITHIN_MS = 15_000;

/** The worker through which a browser is told; null where there is none: an address without a certificate, or an old browser. */
async function registration(): Promise<ServiceWorkerRegistration | null> {
  if (!('serviceWorker' in navigator) || !('PushManager' in globalThis)) return null;
  return Promise.race([
    navigator.serviceWorker.ready,
    new Promise<null>((resolve) => setTimeout(resolve, COMES_WITHIN_MS, null)),
  ]);
}
