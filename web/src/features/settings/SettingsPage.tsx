import { Reminders } from './Reminders.tsx';
import { TourButton } from '../../shared/tour/TourButton.tsx';
import { PractiseButton } from '../../shared/practice/PractiseButton.tsx';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { allFrameSizes, type FrameSizeId } from '@incremen/core/comb';
import { HOUSE_RULES, houseRules, type HouseRuleId } from '@incremen/core/rules';
import type { Operation } from '@incremen/core/records';
import { BookA, DatabaseBackup, Scale, Smartphone, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useApiary, useOperation, useSend } from '../../mirror/hooks.ts';
import { HandsPicker } from '../../shared/settings/HandsPicker.tsx';
import { LOOKS, lookChosen, type LookName } from '../../state/lookSlice.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { Choice } from '../../ui/Choice.tsx';
import { count } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Select } from '../../ui/Select.tsx';
import common from '../../ui/common.module.css';

const LOOK_WORDS: Readonly<Record<LookName, { label: string; hint: string }>> = {
  light: { label: 'Paper', hint: 'Indoors and in the shade.' },
  sunlight: { label: 'Sunlight', hint: 'Black on white, larger, for gloves and glare.' },
  dark: { label: 'Dark', hint: 'For the evening.' },
};

/** Every currency that the browser knows, by its name. */
const CURRENCIES: readonly (readonly [string, string])[] = Intl.supportedValuesOf('currency')
  .map((code) => [code, `${new Intl.DisplayNames('en', { type: 'currency' }).of(code)} (${code})`] as const)
  .toSorted((a, b) => a[1].localeCompare(b[1]));

/** How the application counts, looks and is reached; what is changed here holds at once. */
export function SettingsPage() {
  const apiary = useApiary();
  const operation = useOperation();
  const dispatch = useAppDispatch();
  const look = useAppSelector((s) => s.look.name);
  const { send, problems } = useSend();
  const values = houseRules(operation.houseRules.changes);
  const changed = (Object.keys(HOUSE_RULES) as HouseRuleId[]).filter(
    (id) => values[id] !== HOUSE_RULES[id].default,
  ).length;
  return (
    <Box maxW="52rem">
      <PageHeader title="Settings" aside="Changes are saved at once." />
      <ProblemList problems={problems} />
      <Group title="Units">
        <Choice
          label="Weights, volumes, distances, temperatures"
          value={operation.units}
          onChange={(units: Operation['units']) => void send({ type: 'changeSettings', units })}
          options={[
            { id: 'metric', label: 'Kilograms, litres, kilometres, °C' },
            { id: 'imperial', label: 'Pounds, quarts, miles, °F' },
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
      </Group>
      <Group title="Words and money">
        <Box translate="no">
          <Choice
            label="Words of your region"
            value={operation.words}
            onChange={(words: Operation['words']) => void send({ type: 'changeSettings', words })}
            options={[
              { id: 'us', label: 'US: capped, inner cover' },
              { id: 'commonwealth', label: 'UK and Commonwealth: sealed, crown board' },
            ]}
          />
        </Box>
        <Choice
          label="A week begins on"
          value={operation.weekStart}
          onChange={(weekStart: Operation['weekStart']) => void send({ type: 'changeSettings', weekStart })}
          options={[
            { id: 'monday', label: 'Monday' },
            { id: 'sunday', label: 'Sunday' },
          ]}
        />
        <Box>
          <Text fontWeight="600" mb={1} aria-hidden>
            Currency
          </Text>
          <Select
            label="Currency"
            value={operation.currency}
            options={CURRENCIES}
            onChange={(currency) => void send({ type: 'changeSettings', currency })}
          />
        </Box>
      </Group>
      <Group title="Season">
        <Choice
          label="Hemisphere"
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
          <Text fontWeight="600" mb={1}>
            Climate and flows, yard by yard
          </Text>
          <Flex gap={3} wrap="wrap">
            {Object.values(apiary.yard).map((y) => (
              <Link key={y.id} to={`/yards/${y.id}/season`} className={common.inlineLink}>
                {y.name}
              </Link>
            ))}
          </Flex>
        </Box>
      </Group>
      <Group title="Look, on this device">
        <Choice
          label="Look"
          value={look}
          onChange={(name: LookName) => dispatch(lookChosen(name))}
          options={LOOKS.map((id) => ({ id, ...LOOK_WORDS[id] }))}
        />
        <Text color="inkSoft">{LOOK_WORDS[look].hint}</Text>
      </Group>
      <Group title="Who is at the hive">
        <Text color="inkSoft">
          Where several share this device, a tap says who; counts and inspections then bear that name.
        </Text>
        <HandsPicker settings />
      </Group>
      <Group title="Reminders">
        <Reminders />
      </Group>
      <Group title="Look around">
        <TourButton />
        {operation.fixedToday === null && <PractiseButton />}
      </Group>
      <SectionHeading>More</SectionHeading>
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        <Way
          to="/rules"
          icon={Scale}
          title="House rules"
          what={changed === 0 ? 'All as shipped.' : `${count(changed, 'rule')} changed by you.`}
        />
        <Way
          to="/words"
          icon={BookA}
          title="Words"
          what="What the words of the trade mean here, with pictures of comb."
        />
        <Way
          to="/people"
          icon={Smartphone}
          title="People and devices"
          what="Accounts, helpers, a phone on the home network, devices and calendars."
        />
        <Way
          to="/records"
          icon={DatabaseBackup}
          title="Backup, import and export"
          what="Kept by themselves each day; restore one, or take everything with you."
        />
      </Box>
    </Box>
  );
}

function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} mb={7}>
      <SectionHeading>{title}</SectionHeading>
      <Flex gap={{ base: 4, md: 8 }} wrap="wrap" align="flex-start">
        {children}
      </Flex>
    </Box>
  );
}

function Way({
  to,
  icon: Icon,
  title,
  what,
}: {
  readonly to: string;
  readonly icon: LucideIcon;
  readonly title: string;
  readonly what: string;
}) {
  return (
    <Flex
      as="li"
      bg="sheet"
      borderWidth="1px"
      borderColor="line"
      borderRadius="lg"
      px={4}
      py={3}
      gap={4}
      align="center"
    >
      <Icon size={22} aria-hidden />
      <Box flex="1">
        <Text fontWeight="700">{title}</Text>
        <Text color="inkSoft">{what}</Text>
      </Box>
      <Button asChild variant="outline" bg="sheet" minH="44px">
        <Link to={to} aria-label={title}>
          Open
        </Link>
      </Button>
    </Flex>
  );
}
