import { Text } from '@chakra-ui/react';
import type { Day, Problem } from '@incremen/core/basics';
import { FEED_KINDS, FEED_WORDS, type Given } from '@incremen/core/records';
import { z } from 'zod';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { kilograms, mass } from '../../ui/format.ts';
import { typedNumber } from '../../ui/formFields.tsx';
import { CheckedForm } from './CheckedForm.tsx';
import { ChoiceIn, DayIn, LineIn } from './checkedFields.tsx';

const PURPOSES = [
  { id: 'until-nectar', label: 'Until nectar comes' },
  { id: 'draw-comb', label: 'To draw comb' },
  { id: 'winter', label: 'For winter' },
  { id: 'start', label: 'A start for a new part' },
  { id: 'other', label: 'Other' },
] as const;

const schema = z.strictObject({
  what: z.enum(FEED_KINDS),
  amount: typedNumber('how much it was', 0.05, 100),
  purpose: z.enum(['until-nectar', 'draw-comb', 'winter', 'start', 'other']),
  day: z.string(),
});
type FeedBody = Extract<Given['body'], { kind: 'feed' }>;

/** What feed was given, how much of it and what for. @param hives - how many got so much each */
export function FeedGivenForm({
  label,
  verb,
  hives,
  purpose,
  busy,
  problems,
  onTell,
}: {
  readonly label: string;
  readonly verb: string;
  readonly hives: number;
  readonly purpose: FeedBody['purpose'];
  readonly busy: boolean;
  readonly problems?: readonly Problem[];
  readonly onTell: (body: FeedBody, day: Day) => Promise<unknown>;
}) {
  const today = useToday();
  const { units } = useOperation();
  const each = hives > 1 ? ' each' : '';
  const inAll = (amount: string) => {
    const one = schema.shape.amount.safeParse(amount);
    return hives > 1 && one.success ? `${mass(kilograms(one.data, units) * hives, units)} in all` : undefined;
  };
  return (
    <CheckedForm
      label={label}
      verb={verb}
      large={hives > 1}
      schema={schema}
      start={{ what: 'syrup-thick', amount: '2', purpose, day: '' }}
      busy={busy}
      {...(problems && { problems })}
      onTell={({ amount, day, ...feed }) => {
        const kg = Math.round(kilograms(amount, units) * 100) / 100;
        return onTell({ kind: 'feed', ...feed, kg, leftKg: null }, day || today);
      }}
    >
      {({ amount }) => (
        <>
          <ChoiceIn
            name="what"
            label="What"
            options={FEED_KINDS.map((id) => ({ id, label: FEED_WORDS[id] }))}
          />
          <LineIn
            name="amount"
            label={units === 'imperial' ? `How much${each}, in lb` : `How much${each}, in kg`}
            numeric
            hint={inAll(amount)}
          />
          <ChoiceIn name="purpose" label="What for" options={PURPOSES} />
          <DayIn name="day" label="Day" orToday />
          <Text color="inkSoft">Feed in the evening, and keep entrances small: robbers smell syrup.</Text>
        </>
      )}
    </CheckedForm>
  );
}
