import { fetchedAhead } from '../../ui/fetchedAhead.tsx';

/** The page of work: nobody waits for it at the hives. */
export const WorkView = fetchedAhead(async () => (await import('./WorkPage.tsx')).WorkPage);
