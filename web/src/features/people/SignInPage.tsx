import { Button, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { access } from '../../server/access.ts';
import { DoorForm } from './DoorForm.tsx';
import { DoorFrame } from './DoorFrame.tsx';

/** The records are read anew by whoever is in now. */
export const enter = () => location.assign('/');

/** Signs in by name and password, or with a code for a day in the yard. */
export function SignInPage() {
  const [helping, setHelping] = useState(false);
  return helping ? (
    <DoorFrame title="Help for a day">
      <DoorForm
        verb="Begin"
        fields={[
          { name: 'code', label: 'Code of the day', autoComplete: 'off', hint: 'Eight letters and figures.' },
          { name: 'name', label: 'Your name', autoComplete: 'name' },
        ]}
        onSend={async (v) => {
          await access.help(v['code'] ?? '', v['name'] ?? '');
          enter();
        }}
      />
      <Button variant="ghost" mt={3} onClick={() => setHelping(false)}>
        I have an account
      </Button>
    </DoorFrame>
  ) : (
    <DoorFrame title="Sign in">
      <DoorForm
        verb="Sign in"
        fields={[
          { name: 'signIn', label: 'Name', autoComplete: 'username' },
          { name: 'password', label: 'Password', type: 'password', autoComplete: 'current-password' },
        ]}
        onSend={async (v) => {
          await access.signIn(v['signIn'] ?? '', v['password'] ?? '');
          enter();
        }}
      />
      <Button variant="ghost" mt={3} onClick={() => setHelping(true)}>
        I have a code for today
      </Button>
      <Text mt={4} color="inkSoft" fontSize="sm">
        No account yet? The owner sends you an invitation.
      </Text>
    </DoorFrame>
  );
}
