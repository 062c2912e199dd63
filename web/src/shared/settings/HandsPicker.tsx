import { Button, Flex, Input, Text } from '@chakra-ui/react';
import { UserRound, X } from 'lucide-react';
import { useState, useSyncExternalStore } from 'react';
import { atTheHive } from './atTheHive.ts';

/** Who is at the hive, with a tap, where several share this device: what is entered then bears that name. */
export function HandsPicker({ settings = false }: { readonly settings?: boolean }) {
  const { names, now } = useSyncExternalStore(atTheHive.subscribe, atTheHive.kept);
  const [name, setName] = useState('');
  // Nobody shares it: nothing is asked at the hive.
  if (names.length === 0 && !settings) return null;
  return (
    <Flex
      role="group"
      aria-label="Who is at the hive"
      gap={2}
      wrap="wrap"
      align="center"
      mb={settings ? 0 : 3}
    >
      {!settings && <Text srOnly>Who is at the hive</Text>}
      {[null, ...names].map((n) => (
        <Button
          key={n ?? ''}
          size="sm"
          minH="44px"
          variant={now === n ? 'solid' : 'outline'}
          {...(now !== n && { bg: 'sheet' })}
          aria-pressed={now === n}
          onClick={() => atTheHive.choose(n)}
        >
          <UserRound size={16} aria-hidden /> {n ?? 'Who is signed in'}
        </Button>
      ))}
      {settings && (
        <>
          <form
            onSubmit={(e) => {
              e.preventDefault();
              if (name.trim() !== '') atTheHive.join(name.trim().slice(0, 40));
              setName('');
            }}
          >
            <Flex gap={2}>
              <Input
                aria-label="Name of one who shares this device"
                placeholder="a name"
                value={name}
                maxLength={40}
                bg="sheet"
                minH="44px"
                maxW="12rem"
                onChange={(e) => setName(e.target.value)}
              />
              <Button type="submit" variant="outline" bg="sheet" minH="44px" disabled={name.trim() === ''}>
                Add
              </Button>
            </Flex>
          </form>
          {now !== null && (
            <Button variant="outline" bg="sheet" minH="44px" onClick={() => atTheHive.leave(now)}>
              <X size={16} aria-hidden /> Take {now} off this device
            </Button>
          )}
        </>
      )}
    </Flex>
  );
}
