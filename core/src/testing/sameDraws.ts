import { configureGlobal } from 'fast-check';
import { inject } from 'vitest';

/**
 * `npm test` says the same of the same code each time: the cases that are drawn are always those. Each soak draws others, and
 * names the seed of what it finds.
 */
if (!inject('soak')) configureGlobal({ seed: 20_260_514 });
