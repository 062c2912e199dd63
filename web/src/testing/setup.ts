import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import { decider } from '../state/decider.ts';

// What is waited for comes late on a busy machine; what never comes fails all the same.
configure({ asyncUtilTimeout: 10_000 });
// Stores are made with commands that wait.
await decider();
// The next test begins with an empty page.
afterEach(cleanup);

// Tests have no workers: the same work is done at once. Said here for all of them, because they share their
// modules; a stand-in that one file alone asks for would come too late or stay for the next.
vi.mock('../workers/planner.ts', async () => (await import('./plannerHere.ts')).plannerHere);
vi.mock('../workers/yardPlanner.ts', async () => (await import('./plannerHere.ts')).yardPlannerHere);
// The chart needs a canvas of a real browser; its figures stand beside it in words.
vi.mock('../features/yardplan/HowManyChart.tsx', () => ({ default: () => null }));
