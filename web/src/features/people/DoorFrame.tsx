import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** Before anybody is in: the name of the application, and one thing to do. */
export function DoorFrame({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Flex
      as="main"
      minH="100dvh"
      align="flex-start"
      justify="center"
      px={4}
      pt={{ base: 8, md: '14vh' }}
      pb={8}
    >
      <Box w="100%" maxW="26rem">
        <Flex align="center" gap={3} mb={6}>
          <img src="/icon.svg" alt="" width={40} height={40} style={{ borderRadius: 8 }} />
          <Heading as="p" fontSize="2xl" letterSpacing="-0.02em">
            Incremen
          </Heading>
        </Flex>
        <Box bg="sheet" borderWidth="1px" borderRadius="xl" p={{ base: 4, md: 6 }}>
          <Heading as="h1" fontSize="xl" mb={4}>
            {title}
          </Heading>
          {children}
        </Box>
      </Box>
    </Flex>
  );
}
