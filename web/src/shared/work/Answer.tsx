import { Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What a plan comes to, in one sentence, before everything else is shown of it. */
export function Answer({ children }: { readonly children: ReactNode }) {
  return (
    <Text
      as="p"
      data-answer
      fontSize={{ base: 'lg', md: 'xl' }}
      fontWeight="600"
      lineHeight="1.35"
      maxW="52rem"
      textWrap="pretty"
    >
      {children}
    </Text>
  );
}
