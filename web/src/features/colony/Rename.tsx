import { Button, Flex, Input } from '@chakra-ui/react';
import type { Colony } from '@incremen/core/records';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { useSend } from '../../mirror/hooks.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';

/** Gives a colony another name. */
export function Rename({ colony }: { readonly colony: Colony }) {
  const { send, problems, busy, clear } = useSend();
  const [name, setName] = useState<string | null>(null);
  if (name === null) {
    return (
      <Button
        variant="ghost"
        minW="touch"
        px={0}
        aria-label={`Rename ${colony.name}`}
        onClick={() => setName(colony.name)}
      >
        <Pencil size={18} aria-hidden />
      </Button>
    );
  }
  return (
    <Flex
      as="form"
      gap={2}
      wrap="wrap"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        void send({ type: 'renameColony', colonyId: colony.id, name: name.trim() }).then(
          (sent) => sent.ok && setName(null),
        );
      }}
    >
      <Input
        aria-label="Name of the colony"
        bg="sheet"
        w="10rem"
        maxLength={80}
        ref={(field: HTMLInputElement | null) => field?.focus()}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" loading={busy} disabled={name.trim() === ''}>
        Keep
      </Button>
      <Button
        variant="ghost"
        onClick={() => {
          clear();
          setName(null);
        }}
      >
        Cancel
      </Button>
      <ProblemList problems={problems} />
    </Flex>
  );
}
