import { Button, Checkbox, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { z } from 'zod';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { DayField } from '../../shared/days/DayField.tsx';
import { count } from '../../ui/format.ts';
import { inspectedEach } from './severalCommands.ts';
import type { SeveralProps } from './SeveralPage.tsx';
import formStyles from './form.module.css';

const schema = z
  .strictObject({
    eggs: z.boolean(),
    brood: z.boolean(),
    noCells: z.boolean(),
    healthy: z.boolean(),
    calm: z.boolean(),
    day: z.string().min(1, 'Say on which day.'),
  })
  .refine((s) => s.eggs || s.brood || s.noCells || s.healthy || s.calm, {
    path: ['eggs'],
    message: 'Tick at least one thing that you looked for in each of them.',
  });

const SEEN = [
  ['eggs', 'Eggs, one in a cell'],
  ['brood', 'Capped brood in one patch, caps flat'],
  ['noCells', 'No queen cells'],
  ['healthy', 'No signs of brood disease'],
  ['calm', 'Calm'],
] as const;

/** Each was opened and the same was seen. */
export function FineForm({ colonies, onTell, busy }: SeveralProps) {
  const apiary = useApiary();
  const today = useToday();
  const {
    control,
    handleSubmit,
    formState: { errors },
  } = useForm<z.infer<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: { eggs: true, brood: true, noCells: true, healthy: false, calm: false, day: today },
  });
  return (
    <form
      aria-label="Inspected, all fine"
      className={formStyles.form}
      onSubmit={(e) =>
        void handleSubmit(async ({ day, ...fine }) => {
          await onTell(
            inspectedEach(apiary, colonies, day, fine, () => crypto.randomUUID()),
            `${count(colonies.length, 'inspection')} saved`,
          );
        })(e)
      }
    >
      <Text>Seen in each of them. What you did not look for stays unticked.</Text>
      {SEEN.map(([name, words]) => (
        <Controller
          key={name}
          control={control}
          name={name}
          render={({ field }) => (
            <Checkbox.Root
              minH="44px"
              checked={field.value}
              onCheckedChange={(e) => field.onChange(e.checked === true)}
            >
              <Checkbox.HiddenInput ref={field.ref} name={field.name} onBlur={field.onBlur} />
              <Checkbox.Control bg="sheet" />
              <Checkbox.Label>{words}</Checkbox.Label>
            </Checkbox.Root>
          )}
        />
      ))}
      <Controller
        control={control}
        name="day"
        render={({ field }) => (
          <DayField label="Day" value={field.value} max={today} onChange={field.onChange} />
        )}
      />
      {[errors.eggs, errors.day].map(
        (fault) =>
          fault && (
            <Text key={fault.message} color="alarm" role="alert">
              {fault.message}
            </Text>
          ),
      )}
      <Button type="submit" size="lg" justifySelf="start" loading={busy}>
        Save {count(colonies.length, 'inspection')}
      </Button>
    </form>
  );
}
