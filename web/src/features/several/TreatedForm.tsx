import { Button, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { z } from 'zod';
import { useToday } from '../../mirror/hooks.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { count } from '../../ui/format.ts';
import { FormLine, typedNumber } from '../../ui/formFields.tsx';
import { givenToEach } from './severalCommands.ts';
import type { SeveralProps } from './SeveralPage.tsx';
import formStyles from './form.module.css';

const schema = z
  .strictObject({
    what: z.string().trim().min(1, 'Say what it is, as on its label.').max(80),
    pieces: z.union([z.literal('').transform(() => null), typedNumber('the pieces', 0, 400)]),
    day: z.string().min(1, 'Say on which day.'),
    outBy: z.string(),
  })
  .refine((t) => t.outBy === '' || t.outBy >= t.day, {
    path: ['outBy'],
    message: 'It comes out after it went in.',
  });

/** Each was given the same treatment. */
export function TreatedForm({ colonies, onTell, busy }: SeveralProps) {
  const today = useToday();
  const {
    control,
    register,
    handleSubmit,
    formState: { errors },
  } = useForm<z.input<typeof schema>, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: { what: '', pieces: '', day: today, outBy: '' },
    mode: 'onTouched',
  });
  return (
    <form
      aria-label="Treated"
      className={formStyles.form}
      onSubmit={(e) =>
        void handleSubmit(async ({ what, pieces, day, outBy }) => {
          const body = {
            kind: 'treatment' as const,
            what,
            outBy: outBy === '' ? null : outBy,
            pieces: pieces === null ? null : Math.round(pieces),
          };
          await onTell(
            givenToEach(colonies, day, body, () => crypto.randomUUID()),
            `${count(colonies.length, 'colony was treated', 'colonies were treated')}`,
          );
        })(e)
      }
    >
      <Text color="near">
        The label rules: dose, time, temperature, supers off or on. Keep to the law and to your veterinary
        service; write down what they ask for.
      </Text>
      <FormLine
        label="What, as on its label"
        maxLength={80}
        fault={errors.what?.message}
        {...register('what')}
      />
      <FormLine
        label="Pieces in each hive"
        numeric
        hint="Leave it empty for what is not put in by the piece."
        fault={errors.pieces?.message}
        {...register('pieces')}
      />
      <Controller
        control={control}
        name="day"
        render={({ field }) => (
          <DayField label="In on" value={field.value} max={today} onChange={field.onChange} />
        )}
      />
      <Controller
        control={control}
        name="outBy"
        render={({ field }) => (
          <DayField label="Out by, as its label says" value={field.value} onChange={field.onChange} />
        )}
      />
      {[errors.day, errors.outBy].map(
        (fault) =>
          fault && (
            <Text key={fault.message} color="alarm" role="alert">
              {fault.message}
            </Text>
          ),
      )}
      <Button type="submit" size="lg" justifySelf="start" loading={busy}>
        It is in {count(colonies.length, 'colony', 'colonies')}
      </Button>
    </form>
  );
}
