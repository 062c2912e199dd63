import { Button, Text } from '@chakra-ui/react';
import { FEED_KINDS, FEED_WORDS } from '@incremen/core/records';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { count, kilograms, mass } from '../../ui/format.ts';
import { FormLine, typedNumber } from '../../ui/formFields.tsx';
import { givenToEach } from './severalCommands.ts';
import type { SeveralProps } from './SeveralPage.tsx';
import formStyles from './form.module.css';

const PURPOSES = [
  { id: 'until-nectar', label: 'Until nectar comes' },
  { id: 'draw-comb', label: 'To draw comb' },
  { id: 'winter', label: 'For winter' },
  { id: 'start', label: 'A start for new parts' },
] as const;

const schema = z.strictObject({
  what: z.enum(FEED_KINDS),
  amount: typedNumber('how much each got', 0.05, 100),
  purpose: z.enum(['until-nectar', 'draw-comb', 'winter', 'start']),
  day: z.string().min(1, 'Say on which day.'),
});

/** Each was given the same feed. */
export function FedForm({ colonies, onTell, busy }: SeveralProps) {
  const today = useToday();
  const { units } = useOperation();
  const {
    control,
    register,
    handleSubmit,
    formState: { errors },
  } = useForm<z.input<typeof schema>, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: { what: 'syrup-thick', amount: '2', purpose: 'winter', day: today },
    mode: 'onTouched',
  });
  const each = schema.shape.amount.safeParse(useWatch({ control, name: 'amount' }));
  const all = each.success ? kilograms(each.data, units) * colonies.length : null;
  return (
    <form
      aria-label="Fed"
      className={formStyles.form}
      onSubmit={(e) =>
        void handleSubmit(async ({ what, amount, purpose, day }) => {
          const kg = Math.round(kilograms(amount, units) * 100) / 100;
          const body = { kind: 'feed' as const, what, kg, purpose, leftKg: null };
          await onTell(
            givenToEach(colonies, day, body, () => crypto.randomUUID()),
            `${count(colonies.length, 'colony was fed', 'colonies were fed')}`,
          );
        })(e)
      }
    >
      <Controller
        control={control}
        name="what"
        render={({ field }) => (
          <Choice
            label="What"
            value={field.value}
            onChange={field.onChange}
            options={FEED_KINDS.map((id) => ({ id, label: FEED_WORDS[id] }))}
          />
        )}
      />
      <FormLine
        label={units === 'imperial' ? 'How much each, in lb' : 'How much each, in kg'}
        numeric
        fault={errors.amount?.message}
        hint={all === null ? undefined : `${mass(all, units)} in all`}
        {...register('amount')}
      />
      <Controller
        control={control}
        name="purpose"
        render={({ field }) => (
          <Choice label="What for" value={field.value} onChange={field.onChange} options={PURPOSES} />
        )}
      />
      <Controller
        control={control}
        name="day"
        render={({ field }) => (
          <DayField label="Day" value={field.value} max={today} onChange={field.onChange} />
        )}
      />
      {errors.day && <Text color="alarm">{errors.day.message}</Text>}
      <Text color="inkSoft">Feed in the evening, and keep entrances small: robbers smell syrup.</Text>
      <Button type="submit" size="lg" justifySelf="start" loading={busy}>
        {count(colonies.length, 'colony has it', 'colonies have it')}
      </Button>
    </form>
  );
}
