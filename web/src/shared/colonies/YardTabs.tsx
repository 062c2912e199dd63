import { Box, Flex } from '@chakra-ui/react';
import type { Yard } from '@incremen/core/records';
import { NavLink } from 'react-router';

/** The yards side by side, and all of them at a glance. */
export function YardTabs({
  yards,
  current,
}: {
  readonly yards: readonly Yard[];
  readonly current: string | null;
}) {
  if (yards.length < 2) return null;
  return (
    <Flex
      as="nav"
      aria-label="Yards"
      gap={1}
      borderWidth="1px"
      borderRadius="lg"
      p="3px"
      bg="sunk"
      wrap="wrap"
    >
      <Tab to="/yards" on={current === null}>
        All
      </Tab>
      {yards.map((y) => (
        <Tab key={y.id} to={`/yards/${y.id}`} on={y.id === current}>
          {y.name}
        </Tab>
      ))}
    </Flex>
  );
}

function Tab({ to, on, children }: { readonly to: string; readonly on: boolean; readonly children: string }) {
  return (
    <NavLink to={to} end>
      <Box
        px={3}
        minH="38px"
        display="flex"
        alignItems="center"
        borderRadius="md"
        {...(on ? { bg: 'sheet', fontWeight: '700', boxShadow: 'xs' } : { color: 'inkSoft' })}
      >
        {children}
      </Box>
    </NavLink>
  );
}
