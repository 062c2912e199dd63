import { describe, expect, it } from 'vitest';
import { FULL_BOX, METHOD_DAY, methodPlan } from '../../testing/methodPlans.ts';
import {
  answerOf,
  closingAnswer,
  stillToAnswer,
  UNANSWERED,
  type ClosingDraft,
  unitsOfWork,
} from './closing.ts';

const ID = '00000000-0000-4000-8000-000000000001';
const all: ClosingDraft = {
  entranceOpen: true,
  lidOn: true,
  tagOn: true,
  queen: 'not-seen',
  fed: 'no-need',
  excluder: 'none',
  strips: 'none',
};

describe('closing a visit', () => {
  it('takes nothing for granted', () => {
    expect(stillToAnswer(UNANSWERED)).toEqual([
      'entrance',
      'lid',
      'tag',
      'queen',
      'feed',
      'excluder',
      'strips',
    ]);
    expect(answerOf(ID, UNANSWERED)).toBeNull();
  });

  it('is not done while one thing is open, whichever it is', () => {
    for (const key of Object.keys(all) as (keyof ClosingDraft)[]) {
      const draft = { ...all, [key]: UNANSWERED[key] };
      expect(stillToAnswer(draft)).toHaveLength(1);
      expect(answerOf(ID, draft)).toBeNull();
    }
    expect(stillToAnswer(all)).toEqual([]);
    expect(answerOf(ID, all)).toEqual({ colonyId: ID, ...all });
  });

  it('never accepts a shut entrance', () => {
    expect(closingAnswer.safeParse({ colonyId: ID, ...all, entranceOpen: false }).success).toBe(false);
  });

  it('is kept with the plan by its last tick, and not before', () => {
    const { yard, command } = methodPlan('walk-away-halves', [FULL_BOX, FULL_BOX]);
    yard.run(command);
    const closing = unitsOfWork(yard.apiary, command.work).map(
      (p) => ({ colonyId: p.colonyId, ...all }) as never,
    );
    const tick = (stepId: string) =>
      yard.run({ type: 'tickStep', stepId, done: true, day: METHOD_DAY, closing });
    command.steps.slice(0, -1).forEach((s) => tick(s.id));
    const kept = () => yard.apiary.work[command.work.id];
    expect(kept()?.body.closing).toBeUndefined();
    // Neither without answers, nor with those of one part only.
    const last = {
      type: 'tickStep' as const,
      stepId: command.steps.at(-1)?.id ?? '',
      done: true,
      day: METHOD_DAY,
    };
    expect(yard.refused(last)).toEqual(['not-closed at closing']);
    expect(yard.refused({ ...last, closing: closing.slice(1) })).toEqual(['not-closed at closing']);
    expect(kept()?.status).toBe('working');
    tick(command.steps.at(-1)?.id ?? '');
    expect(kept()?.status).toBe('done');
    expect(kept()?.body.closing).toEqual(closing);
  });
});
