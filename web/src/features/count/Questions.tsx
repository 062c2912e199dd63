import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { STAMP_KINDS, type ContentClass, type Quarters, type StampKind } from '@incremen/core';
import { History, MoveLeft } from 'lucide-react';
import { memo, type ReactNode } from 'react';
import { COMB_INK, CONTENT_FILL } from '../../drawing/contentStyle.ts';
import type { CountAction, CountDraft } from './countDraft.ts';
import { KIND_KEYS } from './countKeys.ts';

const KIND_NAMES: Readonly<Record<StampKind, string>> = {
  mixed: 'Mixed brood',
  capped: 'Capped',
  young: 'Eggs, larvae',
  emerging: 'Emerging',
  drone: 'Drone',
  honey: 'Honey',
  nectar: 'Nectar',
  beeBread: 'Bee bread',
  drawn: 'Empty comb',
  foundation: 'Foundation',
};

/** The bands on the little frame of each button. */
const KIND_BANDS: Readonly<Record<StampKind, readonly ContentClass[]>> = {
  mixed: ['honey', 'eggs', 'open', 'capped'],
  capped: ['honey', 'capped', 'capped', 'capped'],
  young: ['honey', 'eggs', 'open', 'open'],
  emerging: ['honey', 'emerging', 'emerging', 'emerging'],
  drone: ['honey', 'drone', 'drone', 'drone'],
  honey: ['honey', 'honey', 'honey', 'honey'],
  nectar: ['nectar', 'nectar', 'nectar', 'nectar'],
  beeBread: ['honey', 'beeBread', 'beeBread', 'drawn'],
  drawn: ['drawn', 'drawn', 'drawn', 'drawn'],
  foundation: ['foundation', 'foundation', 'foundation', 'foundation'],
};

const QUARTERS: readonly { q: Quarters; label: string }[] = [
  { q: 1, label: '¼' },
  { q: 2, label: '½' },
  { q: 3, label: '¾' },
  { q: 4, label: 'full' },
];

/** The three questions of a usual frame: what it is, how much, how many bees. */
export function Questions({
  draft,
  act,
}: {
  readonly draft: CountDraft;
  readonly act: (action: CountAction) => void;
}) {
  const frame = draft.frames[draft.at];
  const reading = frame?.reading ?? null;
  const beesAt = reading ? Math.round(reading.sides[draft.side === 1 ? 1 : 0].bees / 2.5) : null;
  return (
    <Box gridArea="ask" w="100%" maxW="520px" display="grid" gap={{ base: 2, md: 4 }}>
      <Box>
        <Question on={draft.stage === 'kind'}>1 What is it mostly?</Question>
        <Grid templateColumns={{ base: 'repeat(5, 1fr)', md: 'repeat(5, 1fr)' }} gap={1.5}>
          {STAMP_KINDS.map((k) => (
            <KindButton key={k} kind={k} on={frame?.kind === k} act={act} />
          ))}
        </Grid>
      </Box>
      <Box>
        <Question on={draft.stage === 'amount'}>2 How much of the frame?</Question>
        <Grid templateColumns="repeat(5, 1fr)" gap={1.5}>
          <Box />
          {QUARTERS.map(({ q, label }) => (
            <Big
              key={q}
              on={false}
              lit={draft.stage === 'amount'}
              disabled={!frame?.kind}
              label={`${label} of the frame`}
              onClick={() => act({ do: 'amount', quarters: q })}
            >
              {label}
            </Big>
          ))}
        </Grid>
      </Box>
      <Box>
        <Question on={draft.stage === 'bees'}>3 How much is covered with bees?</Question>
        <Grid templateColumns="repeat(5, 1fr)" gap={1.5}>
          {[{ q: 0 as const, label: 'none' }, ...QUARTERS].map(({ q, label }) => (
            <Big
              key={q}
              on={beesAt === q}
              lit={draft.stage === 'bees'}
              disabled={!reading}
              label={`bees: ${label}`}
              onClick={() => act({ do: 'bees', quarters: q })}
            >
              {label}
            </Big>
          ))}
        </Grid>
      </Box>
      <Flex gap={2} wrap="wrap">
        <Button
          flex="1"
          variant="outline"
          bg="sheet"
          minH="48px"
          disabled={!frame?.last}
          onClick={() => act({ do: 'sameAsLast' })}
        >
          <History size={18} aria-hidden /> As last time
        </Button>
        <Button
          flex="1"
          variant="outline"
          bg="sheet"
          minH="48px"
          disabled={!draft.frames[draft.at - 1]?.reading}
          onClick={() => act({ do: 'sameAsNeighbour' })}
        >
          <MoveLeft size={18} aria-hidden /> As the one before
        </Button>
      </Flex>
    </Box>
  );
}

function Question({ on, children }: { readonly on: boolean; readonly children: ReactNode }) {
  return (
    <Text
      fontWeight={on ? '700' : '400'}
      color={on ? 'ink' : 'inkSoft'}
      mb={1}
      fontSize={{ base: 'sm', md: 'md' }}
    >
      {children}
    </Text>
  );
}

const KindButton = memo(function KindButton({
  kind,
  on,
  act,
}: {
  readonly kind: StampKind;
  readonly on: boolean;
  readonly act: (a: CountAction) => void;
}) {
  return (
    <Box
      as="button"
      aria-pressed={on}
      aria-keyshortcuts={KIND_KEYS[kind]}
      onClick={() => act({ do: 'kind', kind })}
      borderWidth={on ? '2px' : '1px'}
      borderColor={on ? 'accent' : 'line'}
      bg={on ? 'accentSoft' : 'sheet'}
      borderRadius="lg"
      minH={{ base: '74px', md: '92px' }}
      px={1}
      py={1.5}
      display="flex"
      flexDirection="column"
      alignItems="center"
      justifyContent="space-between"
      position="relative"
      cursor="pointer"
    >
      <svg width="22" height="42" viewBox="0 0 22 42" aria-hidden="true">
        {KIND_BANDS[kind].map((c, i) => (
          <rect key={i} x="3" y={3 + i * 9.25} width="16" height="9.5" fill={CONTENT_FILL[c]} />
        ))}
        <rect x="3" y="3" width="16" height="37" rx="2" fill="none" stroke={COMB_INK} />
        <path d="M0 2.500h22" stroke="var(--chakra-colors-wood)" strokeWidth="3" strokeLinecap="round" />
      </svg>
      <Text as="span" fontSize="xs" lineHeight="1.1" fontWeight="600" textAlign="center">
        {KIND_NAMES[kind]}
      </Text>
      <Text
        as="span"
        aria-hidden
        position="absolute"
        top="2px"
        right="6px"
        fontSize="xs"
        color="inkSoft"
        display={{ base: 'none', md: 'block' }}
      >
        {KIND_KEYS[kind]}
      </Text>
    </Box>
  );
});

function Big({
  on,
  lit,
  disabled,
  label,
  onClick,
  children,
}: {
  readonly on: boolean;
  readonly lit: boolean;
  readonly disabled: boolean;
  readonly label: string;
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Button
      variant={on ? 'solid' : 'outline'}
      {...(on ? {} : { bg: 'sheet' })}
      {...(lit && !on ? { borderColor: 'accent', borderWidth: '2px' } : {})}
      minH={{ base: '50px', md: '54px' }}
      fontSize="lg"
      px={0}
      disabled={disabled}
      aria-label={label}
      onClick={onClick}
    >
      {children}
    </Button>
  );
}
