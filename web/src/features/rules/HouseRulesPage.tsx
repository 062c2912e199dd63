import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { allFrameSizes, type FrameSizeId } from '@incremen/core/comb';
import { HOUSE_RULES, houseRules, type HouseRuleId } from '@incremen/core/rules';
import type { Operation } from '@incremen/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { useOperation, useSend } from '../../mirror/hooks.ts';
import { LookSwitch } from '../../shared/settings/LookSwitch.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList, problemsAt } from '../../ui/ProblemList.tsx';
import { Select } from '../../ui/Select.tsx';
import { toaster } from '../../ui/toaster.tsx';
import common from '../../ui/common.module.css';

/** Every threshold that beekeepers argue about, with the reason for its default, to be changed at will. */
export function HouseRulesPage() {
  const operation = useOperation();
  const { send, problems, busy } = useSend();
  const [typed, setTyped] = useState<Partial<Record<HouseRuleId, string>>>({});
  const values = houseRules(operation.houseRules.changes);
  const ids = Object.keys(HOUSE_RULES) as HouseRuleId[];
  const wrong = ids.filter(
    (id) => typed[id] !== undefined && !Number.isFinite(Number(typed[id]?.replace(',', '.') || 'x')),
  );

  async function keep() {
    const changes = { ...operation.houseRules.changes };
    for (const id of ids) {
      const text = typed[id];
      if (text === undefined) continue;
      const value = Number(text.replace(',', '.'));
      if (value === HOUSE_RULES[id].default) delete changes[id];
      else changes[id] = value;
    }
    const sent = await send({ type: 'changeSettings', houseRules: changes });
    if (!sent.ok) return;
    // What was typed while the changes were being kept waits for the next time.
    setTyped((now) =>
      Object.fromEntries(ids.flatMap((id) => (now[id] === typed[id] ? [] : [[id, now[id]]]))),
    );
    toaster.create({ title: 'House rules kept' });
  }

  return (
    <Box maxW="52rem">
      <PageHeader title="House rules" aside="Defaults are common practice; change what differs for you.">
        <Button
          onClick={() => void keep()}
          disabled={Object.keys(typed).length === 0 || wrong.length > 0}
          loading={busy}
        >
          Keep the changes
        </Button>
      </PageHeader>
      <Flex gap={8} wrap="wrap" mb={6} align="flex-end">
        <Choice
          label="Units"
          value={operation.units}
          onChange={(units: Operation['units']) => void send({ type: 'changeSettings', units })}
          options={[
            { id: 'metric', label: 'Kilograms' },
            { id: 'imperial', label: 'Pounds' },
          ]}
        />
        <Choice
          label="Seasons"
          value={operation.hemisphere}
          onChange={(hemisphere: Operation['hemisphere']) =>
            void send({ type: 'changeSettings', hemisphere })
          }
          options={[
            { id: 'north', label: 'Northern' },
            { id: 'south', label: 'Southern' },
          ]}
        />
        <Box>
          <Text fontWeight="600" mb={1} aria-hidden>
            Show totals in frames of
          </Text>
          <Select
            label="Show totals in frames of"
            value={operation.referenceSize}
            options={[...allFrameSizes(), ...operation.ownSizes].map((s) => [s.id, s.name])}
            onChange={(id) => void send({ type: 'changeSettings', referenceSize: id as FrameSizeId })}
          />
        </Box>
        <Box display={{ md: 'none' }}>
          <LookSwitch />
        </Box>
      </Flex>
      <ProblemList problems={problems.filter((p) => p.path[0] !== 'houseRules')} />
      <Text mb={4}>
        How often a queen, eggs, cells or signs are seen in each state stands in{' '}
        <Link className={common.inlineLink} to="/forecasts">
          How good the forecasts are
        </Link>
        {' · '}
        <Link className={common.inlineLink} to="/rules/chances">
          the table of chances
        </Link>
        .
      </Text>
      <Box as="ul" listStyleType="none">
        {ids.map((id) => {
          const rule = HOUSE_RULES[id];
          const changed = values[id] !== rule.default;
          return (
            <Box as="li" key={id} borderTopWidth="1px" borderColor="line" py={3}>
              <Flex gap={4} align="center" wrap={{ base: 'wrap', md: 'nowrap' }}>
                <Box as="label" {...{ htmlFor: id }} flex="1 1 260px">
                  <Text fontWeight="600">{rule.label}</Text>
                  <Text color="inkSoft" fontSize="sm">
                    {rule.why}
                  </Text>
                </Box>
                <Flex align="center" gap={2}>
                  <Input
                    id={id}
                    bg="sheet"
                    w="5.5rem"
                    textAlign="right"
                    inputMode="decimal"
                    value={typed[id] ?? String(values[id])}
                    aria-invalid={wrong.includes(id)}
                    onChange={(e) => setTyped({ ...typed, [id]: e.target.value })}
                  />
                  <Text w="9rem" fontSize="sm" color="inkSoft">
                    {rule.unit}
                    {changed && (
                      <Text as="span" display="block" color="near">{`default ${rule.default}`}</Text>
                    )}
                  </Text>
                </Flex>
              </Flex>
              {wrong.includes(id) && (
                <Text color="alarm">
                  Enter a number from {rule.min} to {rule.max}.
                </Text>
              )}
              <ProblemList problems={problemsAt(problems, 'houseRules', id)} />
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
