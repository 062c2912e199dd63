import { Box } from '@chakra-ui/react';
import type { JointVerdict } from '@incremen/core/queen-verdict';

/** Where the verdict itself stands on the page. */
export const VERDICT_ID = 'verdict';

/** The answer as it forms, above the questions, where the verdict itself stands below them. */
export function AtAGlance({
  joint,
  names,
  hideFrom,
}: {
  readonly joint: JointVerdict;
  readonly names: ReadonlyMap<string, string>;
  /** From this width on the verdict stands beside the questions. */
  readonly hideFrom?: 'xl';
}) {
  return (
    <Box
      asChild
      display="block"
      hideFrom={hideFrom}
      position="sticky"
      top={0}
      zIndex="docked"
      bg="ink"
      color="paper"
      borderRadius="lg"
      px={4}
      py={2}
      mb={4}
      fontWeight="600"
    >
      <a href={`#${VERDICT_ID}`}>
        {joint.parts
          .flatMap(({ id, verdict }) =>
            verdict ? [`${joint.parts.length > 1 ? `${names.get(id)}: ` : ''}${verdict.headline}`] : [],
          )
          .join(' · ')}
      </a>
    </Box>
  );
}
