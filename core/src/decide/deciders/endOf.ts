import type { Colony, ColonyEndHow } from '../../records/index.ts';

/** The end of a colony by work, of which no cause is asked. */
export const endOf = (how: ColonyEndHow, words = ''): Colony['end'] => ({ v: 1, how, cause: null, words });
