import { Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

const FLAG = 'M4 2h13l-4 5l4 5h-13z';

/** What the marks on the lanes of colonies mean. */
export function LaneLegend() {
  return (
    <Flex
      as="ul"
      aria-label="Marks on the lanes"
      listStyleType="none"
      wrap="wrap"
      columnGap={5}
      rowGap={1}
      mb={5}
    >
      <Mark says="leave it alone">
        <rect
          x="1"
          y="4"
          width="24"
          height="12"
          rx="4"
          fill="var(--chakra-colors-rest-soft)"
          stroke="var(--chakra-colors-rest)"
        />
      </Mark>
      <Mark says="inspect, best on this day">
        <path d="M4 2v16" stroke="var(--chakra-colors-accent)" strokeWidth="2" />
        <path d={FLAG} fill="var(--chakra-colors-accent)" />
      </Mark>
      <Mark says="due or overdue">
        <path d="M4 2v16" stroke="var(--chakra-colors-alarm)" strokeWidth="2" />
        <path d={FLAG} fill="var(--chakra-colors-alarm)" />
      </Mark>
      <Mark says="the days on which it can be done">
        <rect x="1" y="9" width="24" height="4" rx="2" fill="var(--chakra-colors-accent)" opacity="0.55" />
      </Mark>
    </Flex>
  );
}

function Mark({ says, children }: { readonly says: string; readonly children: ReactNode }) {
  return (
    <Flex as="li" align="center" gap={2} color="inkSoft" fontSize="sm">
      <svg width="26" height="20" viewBox="0 0 26 20" aria-hidden="true">
        {children}
      </svg>
      <Text as="span">{says}</Text>
    </Flex>
  );
}
