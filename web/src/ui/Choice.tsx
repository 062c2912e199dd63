import { Box, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** One of a few answers, all of them in sight. Arrow keys move between them as in any radio group. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
  hideLabel = false,
  columns = false,
}: {
  readonly label: string;
  readonly options: readonly { readonly id: T; readonly label: ReactNode; readonly hint?: string }[];
  readonly value: T | null;
  readonly onChange: (id: T) => void;
  readonly hideLabel?: boolean;
  readonly columns?: boolean;
}) {
  return (
    <Box as="fieldset">
      <Text as="legend" fontWeight="600" mb={1} {...(hideLabel ? { srOnly: true } : {})}>
        {label}
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
            borderColor={value === o.id ? 'ink' : 'line'}
            bg={value === o.id ? 'ink' : 'sheet'}
            color={value === o.id ? 'paper' : 'ink'}
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
