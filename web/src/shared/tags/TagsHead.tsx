import { Box, Button } from '@chakra-ui/react';
import { Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import common from '../../ui/common.module.css';
import { PageHeader } from '../../ui/PageHeader.tsx';

/** The head of a page of tags. It is not printed: nothing but tags is, so that the first stand on the first page. */
export function TagsHead({
  title,
  aside,
  back,
}: {
  readonly title: string;
  readonly aside: string;
  /** The link to where one came from. */
  readonly back: ReactNode;
}) {
  return (
    <Box className={common.noPrint}>
      <PageHeader title={title} aside={aside}>
        <Button asChild variant="outline" bg="sheet">
          {back}
        </Button>
        <Button onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
      </PageHeader>
    </Box>
  );
}
