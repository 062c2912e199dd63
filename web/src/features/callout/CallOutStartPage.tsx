import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { count } from '../../ui/format.ts';
import { CallOutForm } from './CallOutForm.tsx';

/** Break-ups under way, and what is asked before another begins. */
export function CallOutStartPage() {
  const apiary = useApiary();
  const open = Object.values(apiary.callOut).filter((c) => c.status === 'open');
  return (
    <Box maxW="46rem">
      <PageHeader title="Call-out pad" aside="Break-ups and assembly lines, frame by frame" />
      {open.length > 0 && (
        <Box as="ul" aria-label="Under way" listStyleType="none" display="grid" gap={2} mb={6}>
          {open.map((c) => (
            <Flex
              as="li"
              key={c.id}
              bg="sheet"
              borderWidth="1px"
              borderRadius="lg"
              px={4}
              py={3}
              align="center"
            >
              <Box flex="1">
                <Text fontWeight="700">{c.name}</Text>
                <Text color="inkSoft">
                  {dayInWords(c.day)}, {count(c.body.calls.length, 'frame')} called
                </Text>
              </Box>
              <Button asChild minH="48px">
                <Link to={`/callout/${c.id}`}>Go on</Link>
              </Button>
            </Flex>
          ))}
        </Box>
      )}
      <CallOutForm />
    </Box>
  );
}
