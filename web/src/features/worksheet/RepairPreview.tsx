import { Box, Heading, Text } from '@chakra-ui/react';
import { stepsOfWork, type Command } from '@incremen/core/records';
import { useApiary } from '../../mirror/hooks.ts';
import { amendedIn } from './useRepair.ts';
import styles from './RepairPreview.module.css';

/** How the plan changes by a report: steps that come, steps that go, rules that are missed. */
export function RepairPreview({ workId, command }: { readonly workId: string; readonly command: Command }) {
  const apiary = useApiary();
  const amended = amendedIn(command);
  if (!amended) return null;
  const before = stepsOfWork(apiary, workId).filter((s) => s.doneOn === null);
  const left = amended.steps.filter((s) => s.doneOn === null);
  const texts = (steps: readonly { text: string }[]) => new Set(steps.map((s) => s.text));
  const was = texts(before);
  const is = texts(amended.steps);
  const come = left.filter((s) => !was.has(s.text));
  const go = before.filter((s) => !is.has(s.text));
  const broken = amended.work.body.ledger.filter((l) => l.state === 'broken');
  return (
    <Box bg="sheet" borderWidth="1px" borderColor="line" borderRadius="lg" p={4} aria-live="polite">
      <Heading as="h3" fontSize="lg" mb={1}>
        {come.length + go.length === 0 ? 'The steps stay as they are' : 'The plan then'}
      </Heading>
      <Box as="ul" listStyleType="none" display="grid" gap={1}>
        {come.map((s) => (
          <li key={`+${s.id}`} className={styles.comes}>
            {s.text}
          </li>
        ))}
        {go.map((s) => (
          <li key={`-${s.id}`} className={styles.goes} data-testid="step-goes">
            {s.text}
          </li>
        ))}
      </Box>
      <Text mt={2} fontWeight="600" color={broken.length > 0 ? 'alarm' : undefined}>
        {broken.length === 0
          ? 'Every rule is met.'
          : broken.map((l) => `${l.label}: ${l.mend || 'broken'}`).join(' ')}
      </Text>
    </Box>
  );
}
