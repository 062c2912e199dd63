import { Button, Text } from '@chakra-ui/react';
import { spokenShorthand } from '@incremen/core/shorthand';
import { Mic, MicOff } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useLatest } from '../../ui/useLatest.ts';
import { canListen, listen } from './speech.ts';

/** Says the line instead of typing it, where the browser listens. What is heard is written as shorthand at the end of the line. */
export function Dictate({ onSaid }: { readonly onSaid: (shorthand: string) => void }) {
  const [on, setOn] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stop = useRef<(() => void) | null>(null);
  const said = useLatest(onSaid);
  useEffect(() => () => stop.current?.(), []);
  if (!canListen()) return null;
  const toggle = () => {
    if (on) {
      stop.current?.();
      return;
    }
    setTrouble(null);
    setOn(true);
    stop.current = listen(
      (words) => {
        const line = spokenShorthand(words);
        if (line !== '') said(line);
      },
      (why) => {
        stop.current = null;
        setOn(false);
        setTrouble(why);
      },
    );
  };
  return (
    <>
      <Button
        variant={on ? 'solid' : 'outline'}
        {...(!on && { bg: 'sheet' })}
        justifySelf="start"
        aria-pressed={on}
        onClick={toggle}
      >
        {on ? <MicOff size={18} aria-hidden /> : <Mic size={18} aria-hidden />}
        {on ? 'Stop listening' : 'Say it'}
      </Button>
      <Text role="status" color={trouble === null ? 'inkSoft' : 'near'} fontSize="sm">
        {on
          ? 'Say: “honey three, capped, bees eight, next”; “as last time”; “two capped queen cells”.'
          : trouble}
      </Text>
    </>
  );
}
