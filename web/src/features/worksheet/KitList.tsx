import { Box, Flex, Text } from '@chakra-ui/react';
import { againstStore, promisedKit } from '@incremen/core/work';
import type { KitLine } from '@incremen/core/records';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useApiary } from '../../mirror/hooks.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import clsx from 'clsx';
import common from '../../ui/common.module.css';

/** What to load before leaving, held against the store; what is short stands out. */
export function KitList({ workId, kit }: { readonly workId: string; readonly kit: readonly KitLine[] }) {
  const apiary = useApiary();
  const lines = useMemo(() => againstStore(apiary, kit, promisedKit(apiary, workId)), [apiary, kit, workId]);
  return (
    <Box as="section">
      <Flex justify="space-between" align="baseline" mb={2}>
        <SectionHeading mb={0}>Bring</SectionHeading>
        <Link to="/store" className={clsx(common.inlineLink, common.noPrint)}>
          Store
        </Link>
      </Flex>
      <Box as="ul" listStyleType="none">
        {lines.map((k) => (
          <Flex as="li" key={k.what} gap={3} borderBottomWidth="1px" borderColor="line" py={1}>
            <Text w="1.6rem" textAlign="right" fontWeight="700">
              {k.count}
            </Text>
            <Box flex="1">
              {k.what}
              {k.size && (
                <Text as="span" color="inkSoft">
                  , {k.size}
                </Text>
              )}
              {k.shortBy !== null && k.shortBy > 0 && (
                <Text color="alarm" fontWeight="600">
                  short by {k.shortBy}: the store has {k.inStore ? k.inStore : 'none left'}
                </Text>
              )}
            </Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
