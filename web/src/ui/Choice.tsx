import { Box, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** An answer that says nothing, such as "not looked", is chosen without standing out. */
function lookOf(chosen: boolean, quiet: boolean) {
  if (!chosen) return { borderColor: 'line', bg: 'sheet', color: 'ink' };
  return quiet
    ? { borderColor: 'inkSoft', bg: 'sunk', color: 'ink' }
    : { borderColor: 'ink', bg: 'ink', color: 'paper' };
}

/** One of a few answers, all of them in sight. Arrow keys move between them as in any radio group. */
export function Choice<T extends string>({
  label,
  shown = label,
  options,
  value,
  onChange,
  hideLabel = false,
  columns = false,
}: {
  readonly label: string;
  /** What the label reads on screen, where its full name would repeat what stands above. */
  readonly shown?: string;
  readonly options: readonly {
    readonly id: T;
    readonly label: ReactNode;
    readonly hint?: string;
    readonly quiet?: boolean;
  }[];
  readonly value: T | null;
  readonly onChange: (id: T) => void;
  readonly hideLabel?: boolean;
  readonly columns?: boolean;
}) {
  return (
    <Box as="fieldset" aria-label={label}>
      <Text as="legend" fontWeight="600" mb={1} {...(hideLabel ? { srOnly: true } : {})}>
        {shown}
      </Text>
      <Flex gap={1.5} wrap="wrap" direction={columns ? 'column' : 'row'}>
        {options.map((o) => (
          <Box
            as="label"
            key={o.id}
            minH="44px"
            px={3}
            py={1.5}
            display="flex"
            alignItems="center"
            borderWidth="1px"
            borderRadius="lg"
            cursor="pointer"
            title={o.hint}
            {...lookOf(value === o.id, o.quiet ?? false)}
            _focusWithin={{ outline: '3px solid', outlineColor: 'accent', outlineOffset: '2px' }}
          >
            <input
              type="radio"
              name={label}
              value={o.id}
              checked={value === o.id}
              onChange={() => onChange(o.id)}
              style={{ position: 'absolute', opacity: 0, width: 1, height: 1 }}
            />
            {o.label}
          </Box>
        ))}
      </Flex>
    </Box>
  );
}
