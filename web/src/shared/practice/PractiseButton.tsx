import { Button, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { practise } from './practice.ts';

/** The way into a yard to play in. */
export function PractiseButton() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const practising = useAppSelector((s) => s.mirror.practising);
  const [state, setState] = useState<'idle' | 'opening' | 'failed'>('idle');
  if (practising) return null;
  return (
    <>
      <Button
        size="lg"
        variant="outline"
        bg="sheet"
        loading={state === 'opening'}
        onClick={() => {
          setState('opening');
          dispatch(practise())
            .then(() => navigate('/'))
            .catch(() => setState('failed'));
        }}
      >
        Try it on a practice yard
      </Button>
      {state === 'failed' && (
        <Text role="alert" color="alarm">
          The practice yard could not be fetched. Try again where there is a signal.
        </Text>
      )}
    </>
  );
}
