import { Box, Flex } from '@chakra-ui/react';
import type { LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';

/** A line across the top of every view that says what stands in the way. */
export function Strip({
  icon,
  alarm = false,
  children,
}: {
  readonly icon: LucideIcon;
  readonly alarm?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <Flex
      role="status"
      align="center"
      gap={2.5}
      px={3}
      py={2}
      borderRadius="md"
      bg={alarm ? 'alarmSoft' : 'sunk'}
      borderLeftWidth="4px"
      borderColor={alarm ? 'alarm' : 'rest'}
      fontSize={{ base: 'sm', md: 'md' }}
    >
      <Box as={icon} boxSize="20px" flex="none" aria-hidden color={alarm ? 'alarm' : 'rest'} />
      <Box>{children}</Box>
    </Flex>
  );
}
