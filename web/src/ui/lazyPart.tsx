import { Text } from '@chakra-ui/react';
import { lazy, type ComponentType } from 'react';

/**
 * A part of a view that is fetched when it is first shown. When it cannot be fetched, that is said in its place, and
 * the rest of the view stays.
 */
export const lazyPart = <P extends object>(load: () => Promise<{ default: ComponentType<P> }>) =>
  lazy<ComponentType<P>>(() => load().catch(() => ({ default: NotFetched })));

function NotFetched() {
  return (
    <Text color="inkSoft" role="status">
      This part could not be fetched. Open the view again when the server is in reach.
    </Text>
  );
}
