import { Button, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { AccessAnswer } from '@incremen/contract';
import { access } from '../../server/access.ts';
import { ACCOUNT_FIELDS, accountOf, DoorForm } from './DoorForm.tsx';
import { DoorFrame } from './DoorFrame.tsx';
import { enter } from './SignInPage.tsx';

/** Where an invitation or a code for a day leads: `?code=` or `?help=`. */
export function JoinPage() {
  const [params] = useSearchParams();
  const [me, setMe] = useState<AccessAnswer | null>(null);
  const code = params.get('code');
  const help = params.get('help');
  useEffect(() => {
    access.me().then(setMe, () => undefined);
  }, []);
  if (help !== null) {
    return (
      <DoorFrame title="Help for a day">
        <Text mb={4}>You can count and work until tomorrow. What you do is kept under your name.</Text>
        <DoorForm
          verb="Begin"
          fields={[{ name: 'name', label: 'Your name', autoComplete: 'name' }]}
          onSend={async (v) => {
            await access.help(help, v['name'] ?? '');
            enter();
          }}
        />
      </DoorFrame>
    );
  }
  if (code === null) {
    return (
      <DoorFrame title="An invitation is missing">
        <Text mb={4}>Open the link that the owner has sent, or read the code with the camera.</Text>
        <Button asChild minH="48px">
          <Link to="/sign-in">Sign in</Link>
        </Button>
      </DoorFrame>
    );
  }
  return (
    <DoorFrame title="You are invited">
      {me?.kind === 'account' ? (
        <DoorForm
          verb={`Join as ${me.name}`}
          fields={[]}
          onSend={async () => {
            await access.join(code);
            enter();
          }}
        />
      ) : (
        <DoorForm
          verb="Join"
          fields={ACCOUNT_FIELDS}
          onSend={async (v) => {
            await access.join(code, accountOf(v));
            enter();
          }}
        />
      )}
    </DoorFrame>
  );
}
