import { Box, Flex } from '@chakra-ui/react';
import { ShieldAlert } from 'lucide-react';

/** What to take care of, with every piece of work. */
export function Cautions({ cautions }: { readonly cautions: readonly string[] }) {
  return (
    <Box as="section">
      <Flex as="h2" align="center" gap={2} fontFamily="heading" fontWeight="700" fontSize="lg" mb={2}>
        <ShieldAlert size={20} aria-hidden /> Take care
      </Flex>
      <Box as="ul" listStyleType="none" display="grid" gap={2} fontSize="sm">
        {cautions.map((c) => (
          <Box as="li" key={c} pl={3} borderLeftWidth="3px" borderColor="near">
            {c}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
