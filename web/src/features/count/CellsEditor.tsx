import { Box, Button, Flex, NativeSelect, Text } from '@chakra-ui/react';
import { CELL_KINDS, CELL_PLACES, type CellFinding, type CellKind, type CellPlace } from '@incremen/core';
import { Minus, Plus } from 'lucide-react';

const NAMES: Readonly<Record<CellKind, string>> = {
  cup: 'empty cups',
  charged: 'cups with larva',
  open: 'drawn, open',
  capped: 'capped',
  emerged: 'emerged',
  torn: 'torn open',
};

const PLACE_NAMES: Readonly<Record<CellPlace, string>> = {
  face: 'on the face',
  'bottom-edge': 'on the bottom edge',
  'side-edge': 'on a side edge',
};

/** What queen cells are called in lists. */
export function cellName(kind: CellKind): string {
  return NAMES[kind];
}

/** Queen cells by kind, counted with plus and minus; where they hang and how old the larva is, if noted. */
export function CellsEditor({
  cells,
  onChange,
}: {
  readonly cells: readonly CellFinding[];
  readonly onChange: (cells: CellFinding[]) => void;
}) {
  const of = (kind: CellKind) => cells.find((c) => c.kind === kind);
  const put = (kind: CellKind, next: CellFinding | null) => {
    const others = cells.filter((c) => c.kind !== kind);
    onChange(next ? [...others, next] : others);
  };
  const setCount = (kind: CellKind, n: number) => put(kind, n > 0 ? { ...of(kind), kind, count: n } : null);
  return (
    <Box display="grid" gap={1}>
      {CELL_KINDS.map((kind) => {
        const found = of(kind);
        const n = found?.count ?? 0;
        return (
          <Box key={kind}>
            <Flex align="center" gap={2}>
              <Text flex="1">{NAMES[kind]}</Text>
              <Step
                label={`One less: ${NAMES[kind]}`}
                disabled={n === 0}
                onClick={() => setCount(kind, n - 1)}
              >
                <Minus size={18} aria-hidden />
              </Step>
              <Text w="2ch" textAlign="center" fontWeight="700" aria-live="polite">
                {n}
              </Text>
              <Step label={`One more: ${NAMES[kind]}`} onClick={() => setCount(kind, Math.min(200, n + 1))}>
                <Plus size={18} aria-hidden />
              </Step>
            </Flex>
            {found && (
              <Flex gap={2} pb={1}>
                <Pick
                  label={`Where: ${NAMES[kind]}`}
                  value={found.place ?? ''}
                  none="where, not noted"
                  options={CELL_PLACES.map((p) => [p, PLACE_NAMES[p]])}
                  onChange={(place) => {
                    const { place: _place, ...rest } = found;
                    put(kind, place === '' ? rest : { ...rest, place: place as CellPlace });
                  }}
                />
                {kind === 'charged' && (
                  <Pick
                    label="Age of the larva"
                    value={found.larvaAgeDays === undefined ? '' : String(found.larvaAgeDays)}
                    none="larva, age not noted"
                    options={[0, 1, 2, 3, 4, 5].map((d) => [
                      String(d),
                      d === 0 ? 'just hatched' : `larva ${d} days old`,
                    ])}
                    onChange={(age) => {
                      const { larvaAgeDays: _age, ...rest } = found;
                      put(kind, age === '' ? rest : { ...rest, larvaAgeDays: Number(age) });
                    }}
                  />
                )}
              </Flex>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

function Step({
  label,
  disabled = false,
  onClick,
  children,
}: {
  readonly label: string;
  readonly disabled?: boolean;
  readonly onClick: () => void;
  readonly children: React.ReactNode;
}) {
  return (
    <Button
      variant="outline"
      bg="sheet"
      minW="44px"
      minH="44px"
      px={0}
      disabled={disabled}
      aria-label={label}
      onClick={onClick}
    >
      {children}
    </Button>
  );
}

function Pick({
  label,
  value,
  none,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly none: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onChange: (value: string) => void;
}) {
  return (
    <NativeSelect.Root>
      <NativeSelect.Field
        bg="sheet"
        minH="44px"
        aria-label={label}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      >
        <option value="">{none}</option>
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}
