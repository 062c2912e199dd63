import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { CELL_KINDS, type CellFinding, type CellKind } from '@incremen/core';
import { Minus, Plus } from 'lucide-react';

const NAMES: Readonly<Record<CellKind, string>> = {
  cup: 'empty cups',
  charged: 'cups with larva',
  open: 'drawn, open',
  capped: 'capped',
  emerged: 'emerged',
  torn: 'torn open',
};

/** What queen cells are called in lists. */
export function cellName(kind: CellKind): string {
  return NAMES[kind];
}

/** Queen cells by kind, counted with plus and minus. */
export function CellsEditor({
  cells,
  onChange,
}: {
  readonly cells: readonly CellFinding[];
  readonly onChange: (cells: CellFinding[]) => void;
}) {
  const of = (kind: CellKind) => cells.find((c) => c.kind === kind);
  const set = (kind: CellKind, count: number) => {
    const others = cells.filter((c) => c.kind !== kind);
    onChange(count > 0 ? [...others, { ...of(kind), kind, count }] : others);
  };
  return (
    <Box display="grid" gap={1}>
      {CELL_KINDS.map((kind) => {
        const n = of(kind)?.count ?? 0;
        return (
          <Flex key={kind} align="center" gap={2}>
            <Text flex="1">{NAMES[kind]}</Text>
            <Button
              variant="outline"
              bg="sheet"
              minW="44px"
              minH="44px"
              px={0}
              disabled={n === 0}
              aria-label={`One less: ${NAMES[kind]}`}
              onClick={() => set(kind, n - 1)}
            >
              <Minus size={18} aria-hidden />
            </Button>
            <Text w="2ch" textAlign="center" fontWeight="700" aria-live="polite">
              {n}
            </Text>
            <Button
              variant="outline"
              bg="sheet"
              minW="44px"
              minH="44px"
              px={0}
              aria-label={`One more: ${NAMES[kind]}`}
              onClick={() => set(kind, Math.min(200, n + 1))}
            >
              <Plus size={18} aria-hidden />
            </Button>
          </Flex>
        );
      })}
    </Box>
  );
}
