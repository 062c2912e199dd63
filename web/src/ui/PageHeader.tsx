import { Box, Flex, Heading } from '@chakra-ui/react';
import { useEffect, type ReactNode } from 'react';
import common from './common.module.css';

/** The head of a view: where one is, what it is about, and the main verbs. Also names the document. */
export function PageHeader({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children?: ReactNode;
}) {
  useEffect(() => {
    document.title = `${title} · Incremen`;
  }, [title]);
  return (
    <Flex as="header" wrap="wrap" align="center" columnGap={4} rowGap={2} mb={4}>
      <Heading as="h1" fontSize={{ base: '1.6rem', md: '1.9rem' }} fontWeight="700" letterSpacing="-0.01em">
        {title}
      </Heading>
      {aside && (
        <Box color="inkSoft" fontSize="sm" flex="1 1 260px" minW={0}>
          {aside}
        </Box>
      )}
      {children && (
        <Flex gap={2} ml={{ md: 'auto' }} wrap="wrap" className={common.noPrint}>
          {children}
        </Flex>
      )}
    </Flex>
  );
}
