import { Box, Text } from '@chakra-ui/react';
import type { RuleLine } from '@incremen/core/records';
import { count } from '../../ui/format.ts';
import common from '../../ui/common.module.css';
import { RuleLedger } from './RuleLedger.tsx';

/** The rules that are broken or near, and the rest behind one line: a plan has a dozen for each hive. */
export function FoldedLedger({ lines }: { readonly lines: readonly RuleLine[] }) {
  const tight = lines.filter((l) => l.state !== 'met');
  const met = lines.filter((l) => l.state === 'met');
  return (
    <Box as="section" aria-label="Rules of the plan">
      {tight.length === 0 && <Text mb={1}>No rule is broken or near.</Text>}
      {tight.length > 0 && <RuleLedger ledger={tight} />}
      {met.length > 0 && (
        <details>
          <summary className={common.summary}>{count(met.length, 'rule')} met with room to spare</summary>
          <RuleLedger ledger={met} label="Met with room" />
        </details>
      )}
    </Box>
  );
}
