import { Explained } from '../../drawing/Explained.tsx';
import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import type { Problem } from '@incremen/core/basics';
import { HOUSE_RULES, houseRules, RULE_GROUPS, type HouseRuleId, type RuleGroup } from '@incremen/core/rules';
import { useState } from 'react';
import { Link } from 'react-router';
import { useOperation, useSend } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { ProblemList, problemsAt } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { toaster } from '../../ui/toaster.tsx';
import common from '../../ui/common.module.css';
import { RulePicture } from './RulePicture.tsx';

/** Every threshold that beekeepers argue about, with the reason for its default, to be changed at will. */
export function HouseRulesPage() {
  const operation = useOperation();
  const { send, problems, busy } = useSend();
  const [typed, setTyped] = useState<Partial<Record<HouseRuleId, string>>>({});
  const [find, setFind] = useState('');
  const values = houseRules(operation.houseRules.changes);
  const ids = Object.keys(HOUSE_RULES) as HouseRuleId[];
  const changed = ids.filter((id) => values[id] !== HOUSE_RULES[id].default);
  const groups = groupsWith(changed, find);
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
    toaster.create({ title: 'House rules saved' });
  }

  return (
    <Box maxW="52rem">
      <PageHeader title="House rules" aside="Defaults are common practice; change what differs for you.">
        <Button
          onClick={() => void keep()}
          disabled={Object.keys(typed).length === 0 || wrong.length > 0}
          loading={busy}
        >
          Save changes
        </Button>
      </PageHeader>
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
      <Flex gap={3} wrap="wrap" align="center" mb={4}>
        <SearchField
          label="Search the rules"
          placeholder="Find a rule: winter, eggs, nuc…"
          value={find}
          onChange={setFind}
        />
        <Text color="inkSoft" role="status">
          {changed.length === 0 ? 'All as shipped.' : `${count(changed.length, 'rule')} changed by you.`}
        </Text>
      </Flex>
      {groups.length === 0 && <Text>No rule has these words.</Text>}
      {groups.map((g) => (
        <Box as="section" key={g.title} aria-label={g.title} mb={7}>
          <SectionHeading mb={1}>{g.title}</SectionHeading>
          <Text color="inkSoft" mb={2}>
            {g.about}
          </Text>
          <Box as="ul" listStyleType="none">
            {g.ids.map((id) => (
              <RuleLine
                key={id}
                id={id}
                typed={typed[id]}
                value={values[id]}
                wrong={wrong.includes(id)}
                problems={problemsAt(problems, 'houseRules', id)}
                onType={(text) => setTyped({ ...typed, [id]: text })}
              />
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** Groups with the rules that have all the words; those that were changed stand first, in a group of their own. */
function groupsWith(changed: readonly HouseRuleId[], find: string): RuleGroup[] {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (id: HouseRuleId) => {
    const { label, unit, why } = HOUSE_RULES[id];
    const text = `${label} ${why} ${unit}`.toLowerCase();
    return words.every((w) => text.includes(w));
  };
  const own: RuleGroup = {
    title: 'Changed by you',
    about: 'These differ from what is shipped.',
    ids: changed,
  };
  return [own, ...RULE_GROUPS]
    .map((g) => ({ ...g, ids: g.ids.filter((id) => fits(id) && (g === own || !changed.includes(id))) }))
    .filter((g) => g.ids.length > 0);
}

function RuleLine({
  id,
  typed,
  value,
  wrong,
  problems,
  onType,
}: {
  readonly id: HouseRuleId;
  readonly typed: string | undefined;
  readonly value: number;
  readonly wrong: boolean;
  readonly problems: readonly Problem[];
  readonly onType: (text: string) => void;
}) {
  const rule = HOUSE_RULES[id];
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" py={3}>
      <Flex gap={4} align="center" wrap={{ base: 'wrap', md: 'nowrap' }}>
        <Box flex="1 1 260px">
          <Text as="label" {...{ htmlFor: id }} fontWeight="600" display="block">
            {rule.label}
          </Text>
          <Text color="inkSoft" fontSize="sm">
            <Explained>{rule.why}</Explained>
          </Text>
          <RulePicture id={id} value={Number((typed ?? String(value)).replace(',', '.'))} />
        </Box>
        <Flex align="center" gap={2}>
          <Input
            id={id}
            bg="sheet"
            w="5.5rem"
            textAlign="right"
            inputMode="decimal"
            value={typed ?? String(value)}
            aria-invalid={wrong}
            onChange={(e) => onType(e.target.value)}
          />
          <Text w="9rem" fontSize="sm" color="inkSoft">
            {rule.unit}
            {value !== rule.default && (
              <Text as="span" display="block" color="near">{`default ${rule.default}`}</Text>
            )}
          </Text>
        </Flex>
      </Flex>
      {wrong && (
        <Text color="alarm">
          Enter a number from {rule.min} to {rule.max}.
        </Text>
      )}
      <ProblemList problems={problems} />
    </Box>
  );
}
