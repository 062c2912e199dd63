import { Box, Button } from '@chakra-ui/react';
import type { Problem } from '@incremen/core/basics';
import { zodResolver } from '@hookform/resolvers/zod';
import type { ReactNode } from 'react';
import {
  FormProvider,
  useForm,
  useWatch,
  type DefaultValues,
  type FieldValues,
  type Resolver,
} from 'react-hook-form';
import type { z } from 'zod';
import { ProblemList } from '../../ui/ProblemList.tsx';
import styles from './CheckedForm.module.css';

const NONE: readonly Problem[] = [];

/**
 * A form that tells the records one thing, watched over by a schema: what is wrong is said under its field once that has been left
 * or the form was sent. Its fields are {@link ./checkedFields.tsx}.
 *
 * @typeParam In - what the fields hold, as typed; one that is not shown keeps what it held
 * @typeParam Out - what the schema makes of it
 */
export function CheckedForm<In extends FieldValues, Out>({
  label,
  verb,
  schema,
  start,
  busy,
  problems = NONE,
  large = false,
  onTell,
  children,
}: {
  readonly label: string;
  /** What the button says, of what is in the fields. */
  readonly verb: string | ((typed: In) => string);
  readonly schema: z.ZodType<Out, In>;
  readonly start: NoInfer<In>;
  readonly busy: boolean;
  /** What the records refused. */
  readonly problems?: readonly Problem[];
  readonly large?: boolean;
  readonly onTell: (said: Out) => Promise<unknown>;
  readonly children: ReactNode | ((typed: In) => ReactNode);
}) {
  const form = useForm<In, unknown, Out>({
    resolver: zodResolver(schema as never) as unknown as Resolver<In, unknown, Out>,
    defaultValues: start as DefaultValues<In>,
    mode: 'onTouched',
  });
  const typed = useWatch({ control: form.control }) as In;
  return (
    <FormProvider {...form}>
      <Box
        as="form"
        aria-label={label}
        className={styles.form}
        onSubmit={(e: React.FormEvent) =>
          void form.handleSubmit(async (said) => void (await onTell(said)))(e)
        }
      >
        {typeof children === 'function' ? children(typed) : children}
        <ProblemList problems={problems} />
        <Button type="submit" size={large ? 'lg' : 'md'} loading={busy} justifySelf="start">
          {typeof verb === 'function' ? verb(typed) : verb}
        </Button>
      </Box>
    </FormProvider>
  );
}
