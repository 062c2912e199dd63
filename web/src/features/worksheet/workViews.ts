import { fetchedAhead } from '../../ui/fetchedAhead.tsx';

/** The work of a plan for one colony, and of a plan for a yard: nobody waits for them at the hives. */
export const WorkView = fetchedAhead(async () => (await import('./WorkPage.tsx')).WorkPage);
export const YardWorkView = fetchedAhead(async () => (await import('./YardWorkPage.tsx')).YardWorkPage);
