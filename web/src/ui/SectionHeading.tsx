import { Heading, type HeadingProps } from '@chakra-ui/react';

/** The heading of a section of a view. */
export function SectionHeading(props: HeadingProps) {
  return <Heading as="h2" fontSize="lg" mb={2} {...props} />;
}
