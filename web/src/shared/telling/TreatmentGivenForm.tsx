import { Text } from '@chakra-ui/react';
import type { Day, Problem } from '@incremen/core/basics';
import type { Given } from '@incremen/core/records';
import type { ReactNode } from 'react';
import { z } from 'zod';
import { useToday } from '../../mirror/hooks.ts';
import { typedNumber } from '../../ui/formFields.tsx';
import { CheckedForm } from './CheckedForm.tsx';
import { DayIn, LineIn } from './checkedFields.tsx';

const schemaOn = (today: Day) =>
  z
    .strictObject({
      what: z.string().trim().min(1, 'Say what it is, as on its label.').max(80),
      pieces: z.union([z.literal('').transform(() => null), typedNumber('the pieces', 0, 400)]),
      day: z.string(),
      outBy: z.string(),
    })
    .refine((t) => t.outBy === '' || t.outBy >= (t.day || today), {
      path: ['outBy'],
      message: 'It comes out after it went in.',
    });
type TreatmentBody = Extract<Given['body'], { kind: 'treatment' }>;

/** What was put in against mites or a disease, with the day by which its label wants it out. */
export function TreatmentGivenForm({
  label,
  verb,
  hives,
  busy,
  problems,
  onTell,
  children,
}: {
  readonly label: string;
  readonly verb: string;
  readonly hives: number;
  readonly busy: boolean;
  readonly problems?: readonly Problem[];
  readonly onTell: (body: TreatmentBody, day: Day) => Promise<unknown>;
  /** What is to be known before. */
  readonly children?: ReactNode;
}) {
  const today = useToday();
  return (
    <CheckedForm
      label={label}
      verb={verb}
      large={hives > 1}
      schema={schemaOn(today)}
      start={{ what: '', pieces: '', day: '', outBy: '' }}
      busy={busy}
      {...(problems && { problems })}
      onTell={({ what, pieces, day, outBy }) =>
        onTell(
          {
            kind: 'treatment',
            what,
            outBy: outBy === '' ? null : outBy,
            pieces: pieces === null ? null : Math.round(pieces),
          },
          day || today,
        )
      }
    >
      <Text color="near">
        The label rules: dose, time, temperature, supers off or on. Keep to the law and to your veterinary
        service; write down what they ask for.
      </Text>
      {children}
      <LineIn name="what" label="What, as on its label" maxLength={80} />
      <LineIn
        name="pieces"
        label={hives > 1 ? 'Pieces in each hive' : 'Pieces'}
        numeric
        hint="Leave it empty for what is not put in by the piece."
      />
      <DayIn name="day" label="In on" orToday />
      <DayIn name="outBy" label="Out by, as its label says" ahead />
    </CheckedForm>
  );
}
