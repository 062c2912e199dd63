import { Box, Text } from '@chakra-ui/react';
import type { Problem } from '@incremen/core/basics';
import { TriangleAlert } from 'lucide-react';

/** What is wrong and what to do about it. Nothing is shown when nothing is wrong. */
export function ProblemList({ problems }: { readonly problems: readonly Problem[] }) {
  if (problems.length === 0) return null;
  return (
    <Box
      role="alert"
      bg="alarmSoft"
      borderLeftWidth="4px"
      borderColor="alarm"
      px={4}
      py={3}
      borderRadius="md"
      display="grid"
      gap={2}
    >
      {problems.slice(0, 6).map((p) => (
        <Box key={`${p.code}-${p.path.join('/')}`} display="flex" gap={2}>
          <Box as={TriangleAlert} boxSize="20px" flex="none" color="alarm" mt="2px" aria-hidden />
          <Box>
            <Text fontWeight="600">{p.message}</Text>
            <Text>{p.remedy}</Text>
          </Box>
        </Box>
      ))}
      {problems.length > 6 && <Text>And {problems.length - 6} more.</Text>}
    </Box>
  );
}

/** The problems that belong to one field, by the start of their path. */
export function problemsAt(problems: readonly Problem[], ...path: readonly (string | number)[]): Problem[] {
  return problems.filter((p) => path.every((key, i) => String(p.path[i]) === String(key)));
}
