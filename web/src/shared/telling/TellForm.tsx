import { Box, Button } from '@chakra-ui/react';
import type { Problem } from '@incremen/core/basics';
import type { ReactNode } from 'react';
import { ProblemList } from '../../ui/ProblemList.tsx';

/** A form that tells the records one thing: its fields, what is wrong, and one button. */
export function TellForm({
  label,
  verb,
  busy,
  disabled = false,
  problems,
  onTell,
  children,
}: {
  readonly label: string;
  /** What the button says. */
  readonly verb: string;
  readonly busy: boolean;
  readonly disabled?: boolean;
  readonly problems: readonly Problem[];
  readonly onTell: () => Promise<unknown>;
  readonly children: ReactNode;
}) {
  return (
    <Box
      as="form"
      aria-label={label}
      display="grid"
      gap={4}
      w="100%"
      maxW="38rem"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        void onTell();
      }}
    >
      {children}
      <ProblemList problems={problems} />
      <Button type="submit" loading={busy} disabled={disabled} justifySelf="start">
        {verb}
      </Button>
    </Box>
  );
}
