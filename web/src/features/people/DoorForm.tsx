import { Box, Button, Field, Input } from '@chakra-ui/react';
import type { Problem } from '@incremen/core/basics';
import { useState, type FormEvent } from 'react';
import { problemsOf } from '../../server/problemsOf.ts';
import { ProblemList } from '../../ui/ProblemList.tsx';

/** A field of the form: what it is called, and how browsers and password keepers know it. */
export interface DoorField {
  readonly name: string;
  readonly label: string;
  readonly type?: 'password';
  readonly autoComplete: string;
  readonly hint?: string;
}

/** A few fields and one button. What the server says against it stands above the button; what was typed stays. */
export function DoorForm({
  fields,
  verb,
  onSend,
}: {
  readonly fields: readonly DoorField[];
  readonly verb: string;
  /** Throws what the server answers against it. */
  readonly onSend: (values: Readonly<Record<string, string>>) => Promise<void>;
}) {
  const [values, setValues] = useState<Readonly<Record<string, string>>>({});
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  async function send(e: FormEvent) {
    e.preventDefault();
    setBusy(true);
    try {
      await onSend(values);
    } catch (error) {
      setProblems(problemsOf(error));
    } finally {
      setBusy(false);
    }
  }
  const isFull = fields.every((f) => (values[f.name] ?? '').trim() !== '');
  return (
    <Box as="form" onSubmit={(e) => void send(e as unknown as FormEvent)} display="grid" gap={4}>
      {fields.map((f) => (
        <Field.Root key={f.name}>
          <Field.Label>{f.label}</Field.Label>
          <Input
            bg="sheet"
            minH="48px"
            type={f.type ?? 'text'}
            name={f.name}
            autoComplete={f.autoComplete}
            autoCapitalize="none"
            maxLength={f.type === 'password' ? 200 : 80}
            value={values[f.name] ?? ''}
            onChange={(e) => setValues({ ...values, [f.name]: e.target.value })}
          />
          {f.hint && <Field.HelperText color="inkSoft">{f.hint}</Field.HelperText>}
        </Field.Root>
      ))}
      <ProblemList problems={problems} />
      <Button type="submit" minH="52px" loading={busy} disabled={!isFull}>
        {verb}
      </Button>
    </Box>
  );
}

/** What makes an account. */
export const ACCOUNT_FIELDS: readonly DoorField[] = [
  { name: 'name', label: 'Your name', autoComplete: 'name', hint: 'As the journal names you.' },
  { name: 'signIn', label: 'Name to sign in', autoComplete: 'username' },
  {
    name: 'password',
    label: 'Password',
    type: 'password',
    autoComplete: 'new-password',
    hint: 'Ten characters or more: three or four words are easily kept in mind.',
  },
];

/** The values of {@link ACCOUNT_FIELDS}. */
export const accountOf = (v: Readonly<Record<string, string>>) => ({
  name: v['name'] ?? '',
  signIn: v['signIn'] ?? '',
  password: v['password'] ?? '',
});
