import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { Link, useRouteError } from 'react-router';

/** What is shown when a view breaks or is not there. */
export function RouteError({ missing = false }: { readonly missing?: boolean }) {
  const error = useRouteError();
  return (
    <Box role="alert" maxW="34rem" p={{ base: 4, md: 8 }}>
      <Heading as="h1" size="2xl" mb={2}>
        {missing ? 'There is no such page' : 'This view has failed'}
      </Heading>
      <Text mb={4}>
        {missing
          ? 'The address may be old, or what it showed has been undone.'
          : `Your records are safe on the server. ${error instanceof Error ? error.message : ''}`}
      </Text>
      <Flex gap={3} wrap="wrap">
        {/* The page itself: a part of it that could not be fetched comes with it. */}
        {!missing && <Button onClick={() => globalThis.location.reload()}>Try again</Button>}
        <Button asChild variant={missing ? 'solid' : 'outline'}>
          <Link to="/">Go to today</Link>
        </Button>
      </Flex>
    </Box>
  );
}
