import { Box, Flex, Heading } from '@chakra-ui/react';
import { useEffect, useRef, type ReactNode } from 'react';
import { useLocation } from 'react-router';
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
  const heading = useRef<HTMLHeadingElement>(null);
  // The first view of a visit is where the browser begins; from there each new one is told to those who do not see it.
  const hasMoved = useLocation().key !== 'default';
  useEffect(() => {
    document.title = `${title} · Incremen`;
  }, [title]);
  useEffect(() => {
    const { activeElement } = document;
    // What a view has given the focus itself keeps it.
    if (hasMoved && !activeElement?.closest('main')) heading.current?.focus({ preventScroll: true });
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- once, when the view appears
  }, []);
  return (
    <Flex as="header" wrap="wrap" align="center" columnGap={4} rowGap={2} mb={4}>
      <Heading
        as="h1"
        ref={heading}
        tabIndex={-1}
        outline="none"
        fontSize={{ base: '1.6rem', md: '1.9rem' }}
        fontWeight="700"
        letterSpacing="-0.01em"
      >
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
