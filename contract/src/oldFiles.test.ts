import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { decide, undoChanges } from '@incremen/core/decide';
import { fromBundle, toBundle, upgradeCommand } from '@incremen/core/formats';
import { applyChanges, command as commandSchema, emptyApiary } from '@incremen/core/records';

type Records = Record<string, Record<string, unknown>[]>;

/** Written on the last day of version 1: splits, plans for yards and actions, done, under way and planned. */
const file = JSON.parse(
  gunzipSync(
    readFileSync(new URL('../../core/src/formats/samples/apiary-v1-2026-11.json.gz', import.meta.url)),
  ).toString('utf8'),
) as { records: Records; journal: { seq: number; body: { changes: { kind: string }[] } }[] };
const clone = <T>(x: T) => JSON.parse(JSON.stringify(x)) as T;
const old = file.records;
const ids = (records: readonly unknown[]) =>
  records.map((r) => (r as { readonly id: string }).id).toSorted((a, b) => a.localeCompare(b));
const content = () => {
  const read = fromBundle(clone(file));
  if (!read.ok) throw new Error(JSON.stringify(read.problems.slice(0, 3)));
  return read.value;
};

describe('a file of the last day of version 1', () => {
  it('loses no plan, no move, no step and no follow-up', () => {
    const { apiary } = content();
    const works = Object.values(apiary.work);
    expect(ids(works)).toEqual(ids([...old['plan']!, ...old['yardPlan']!]));
    const yardMoves = old['yardPlan']!.flatMap((p) => (p['body'] as { moves: unknown[] }).moves);
    expect(works.flatMap((w) => w.body.moves)).toHaveLength(old['move']!.length + yardMoves.length);
    expect(ids(Object.values(apiary.workStep))).toEqual(ids([...old['step']!, ...old['yardStep']!]));
    expect(Object.keys(apiary.followUp)).toHaveLength(old['followUp']!.length);
    // Six splits, two plans for yards, five actions: what was done when the file was written.
    const of = (source: string) => works.filter((w) => w.body.asked.source === source).length;
    expect([of('split'), of('yard'), of('action')]).toEqual([6, 2, 5]);
  });

  it('says where each frame of a split goes, as it said before', () => {
    const { apiary } = content();
    for (const m of old['move']!) {
      const work = apiary.work[m['planId'] as string]!;
      const move = work.body.moves.find((n) => n.frameId === m['frameId'])!;
      expect([move.from?.boxId ?? null, move.from?.slot ?? null, move.to, move.reason]).toEqual([
        m['fromBoxId'],
        m['fromSlot'],
        { boxId: m['toBoxId'], slot: m['toSlot'] },
        m['reason'],
      ]);
    }
  });

  it('finds in the words of old steps which hive they open and what they look for', () => {
    const { apiary } = content();
    const steps = Object.values(apiary.workStep);
    const nameOf = (workId: string, key: string) =>
      apiary.work[workId]?.body.units.find((u) => u.key === key)?.name;
    const opened = steps.filter((s) => s.kind === 'open' && s.unitKeys.length === 1);
    expect(opened.length).toBeGreaterThan(8);
    for (const s of opened) expect(s.text).toContain(nameOf(s.workId, s.unitKeys[0]!));
    expect(steps.filter((s) => s.task === 'find-queen').length).toBeGreaterThan(3);
    expect(steps.filter((s) => s.task === 'carry').every((s) => s.frameIds.length === 1)).toBe(true);
  });

  it('has a journal that still leads to its records, and whose last entry can be undone', () => {
    const { apiary, journal } = content();
    const replayed = journal.reduce((a, e) => applyChanges(a, e.body.changes), emptyApiary());
    expect(replayed.work).toEqual(apiary.work);
    expect(replayed.workStep).toEqual(apiary.workStep);
    const undone = undoChanges(apiary, journal.at(-1)!.body.changes);
    expect(undone.ok).toBe(true);
  });

  it('lets the work that was under way be finished', () => {
    let { apiary } = content();
    const under = Object.values(apiary.work).filter((w) => w.status === 'working');
    expect(under.length).toBeGreaterThan(2);
    for (const work of under) {
      const left = Object.values(apiary.workStep)
        .filter((s) => s.workId === work.id && s.doneOn === null)
        .toSorted((a, b) => a.order - b.order);
      for (const s of left.slice(0, -1)) {
        const ticked = decide(apiary, { type: 'tickStep', stepId: s.id, done: true, day: '2026-05-15' });
        if (!ticked.ok) throw new Error(ticked.problems[0]?.message);
        apiary = applyChanges(apiary, ticked.value);
      }
    }
  });

  it('written anew is a file of today, which is read the same', () => {
    const { apiary, journal } = content();
    const again = fromBundle(JSON.parse(JSON.stringify(toBundle(apiary, journal))));
    expect(again.ok && again.value.apiary).toEqual(apiary);
    expect(again.ok && again.value.journal).toEqual(journal);
  });

  it('with a fault in a plan is refused whole, with the place in the file', () => {
    const broken = clone(file);
    delete (broken.records['plan']![2]!['body'] as Record<string, unknown>)['parts'];
    const read = fromBundle(broken);
    expect(!read.ok && read.problems[0]).toMatchObject({
      code: 'bundle-shape',
      path: ['records', 'plan', 2, 'body', 'parts'],
    });
  });

  it('of a version that is not known yet is refused, and says which versions are read', () => {
    const read = fromBundle({ ...file, version: 3 });
    expect(!read.ok && read.problems).toMatchObject([
      { code: 'bundle-version', message: 'This file has version 3; this Incremen reads versions 1 to 2.' },
    ]);
  });
});

describe('a command that waited on a device through the change', () => {
  const planOf = (id: unknown) => old['plan']!.find((p) => p['id'] === id)!;
  const [plan] = old['plan']!;
  const moves = old['move']!.filter((m) => m['planId'] === plan!['id']);
  const steps = old['step']!.filter((s) => s['planId'] === plan!['id']);
  const id = plan!['id'];

  it.each([
    ['a plan that was kept', { type: 'savePlan', plan: planOf(id), moves, steps }],
    ['one that was dropped', { type: 'dropPlan', planId: id }],
    [
      'a plan for a yard',
      {
        type: 'amendYardPlan',
        yardPlan: old['yardPlan']![0],
        steps: old['yardStep']!.filter((s) => s['yardPlanId'] === old['yardPlan']![0]!['id']),
      },
    ],
    ['one of those dropped', { type: 'dropYardPlan', yardPlanId: old['yardPlan']![0]!['id'] }],
    ['a tick', { type: 'tickYardStep', stepId: old['yardStep']![0]!['id'], done: true, day: '2026-05-15' }],
    ['a look filed by hand', { type: 'fileFollowUp', followUp: old['followUp']![0] }],
    [
      'several at once',
      {
        type: 'batch',
        commands: [
          { type: 'dropPlan', planId: id },
          { type: 'renameColony', colonyId: id, name: 'Rowan' },
        ],
      },
    ],
  ])('%s is a command of today', (_what, command) => {
    const now = upgradeCommand(command);
    expect(commandSchema.parse(now)).toEqual(JSON.parse(JSON.stringify(now)));
  });
});
