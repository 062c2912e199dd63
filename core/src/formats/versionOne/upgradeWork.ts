import { windowAfter } from '../../basics/index.ts';
import {
  STORE_KEY,
  type StepTask,
  type Work,
  type WorkEffect,
  type WorkStep,
  type WorkUnit,
} from '../../records/index.ts';
import type { MoveV1, PlanV1, StepV1, YardPlanV1 } from './schemas.ts';

/** The key of the part that comes out of a colony that is split. */
const NEW_KEY = 'new';

/** What of a body is kept as it was, and left out where it was not there. */
const kept = ({ closing, reports }: Pick<PlanV1['body'], 'closing' | 'reports'>) => ({
  ...(closing && { closing }),
  ...(reports && { reports }),
});

/** A split of version 1, with its moves, as work. */
export function workOfPlan(plan: PlanV1, moves: readonly MoveV1[]): Work {
  const { body, colonyId } = plan;
  const [stay, fresh] = body.parts;
  const isAbove = fresh.distance === 'above';
  const newBoxes = new Set(body.newHive.boxes.map((b) => b.boxId));
  const keyOf = (boxId: string) => (newBoxes.has(boxId) ? NEW_KEY : colonyId);
  const isTwoQueens = stay.queen === 'here' && fresh.queen === 'here';
  const unit = (part: PlanV1['body']['parts'][number]): WorkUnit => {
    const isNew = part.key === 'new';
    const { measure } = part;
    return {
      key: isNew ? NEW_KEY : colonyId,
      colonyId: part.colonyId,
      name: part.name.trim().slice(0, 80),
      state: isNew ? (isAbove ? 'above' : 'new') : 'stays',
      distance: part.distance === 'stand' ? null : part.distance,
      gets: isNew && part.queen === 'here' ? (isTwoQueens ? 'mated' : 'old-queen') : null,
      parted: isAbove
        ? null
        : {
            queen: part.queen,
            emergence:
              part.queen === 'here' || body.emergence === null
                ? null
                : { window: body.emergence, anchor: 'cells' },
            partIds: body.parts.map((p) => p.colonyId),
          },
      before: null,
      after: {
        frames: measure.frames,
        bees: measure.framesOfBeesAfterDrift,
        brood: measure.broodFrames,
        capped: measure.cappedFrames,
        stores: measure.storesFrames,
      },
    };
  };
  const kitBoxes = body.newHive.boxes.flatMap((b) => (b.from === 'kit' ? [b] : []));
  const { hiveId, standId, yardId, boxes } = body.newHive;
  return {
    id: plan.id,
    name: `${stay.name} → ${fresh.name}`.slice(0, 80),
    day: plan.day,
    status: plan.status,
    body: {
      v: 2,
      asked: {
        source: 'split',
        colonyId,
        methodId: plan.methodId,
        options: body.options,
        projectedDays: body.projectedDays,
      },
      countedOn: body.countedOn,
      units: body.parts.map(unit),
      newHives: isAbove
        ? []
        : [{ colonyId: fresh.colonyId, hiveId, standId, yardId, fromColonyId: colonyId, boxes }],
      newBoxes: isAbove
        ? kitBoxes.map(({ boxId, sizeId, slots }) => ({ colonyId, boxId, sizeId, slots, place: 'top' }))
        : [],
      unions: [],
      emptiedBoxIds: [],
      moves: moves
        .toSorted((a, b) => a.order - b.order)
        .map((m) => ({
          frameId: m.frameId,
          from: m.fromBoxId === null || m.fromSlot === null ? null : { boxId: m.fromBoxId, slot: m.fromSlot },
          to: { boxId: m.toBoxId, slot: m.toSlot },
          fromKey: m.fromBoxId === null ? STORE_KEY : keyOf(m.fromBoxId),
          toKey: keyOf(m.toBoxId),
          reason: m.reason,
        })),
      shakes: body.shakes.map((s) => ({
        frameId: s.frameId,
        fromKey: colonyId,
        toKey: NEW_KEY,
        reason: s.reason.slice(0, 400),
      })),
      effects: effectsOfSplit(plan),
      ledger: body.ledger,
      kit: body.kit,
      cautions: body.cautions,
      looks: body.followUps.map(({ parts, anchor, ...f }) => ({
        ...f,
        expect: f.expect.slice(0, 800),
        anchor: anchor === 'split' ? 'work' : 'cells',
        colonyIds: parts.map((key) => (key === 'stay' ? colonyId : fresh.colonyId)),
      })),
      ...kept(body),
    },
  };
}

function effectsOfSplit({ colonyId, body }: PlanV1): WorkEffect[] {
  const [stay, fresh] = body.parts;
  if (fresh.distance === 'above') return [{ kind: 'excluder-in', colonyId }];
  if (fresh.queen === 'unknown')
    return [{ kind: 'queen-unsure', fromId: colonyId, colonyIds: [colonyId, fresh.colonyId] }];
  return fresh.queen === 'here' && stay.queen !== 'here'
    ? [{ kind: 'queen-over', colonyId, intoId: fresh.colonyId }]
    : [];
}

/** A plan for yards of version 1 as work; one with effects was what is done about one colony. */
export function workOfYardPlan({ id, name, day, status, body }: YardPlanV1): Work {
  const homeOf = (colonyId: string) =>
    body.newHives.find(
      (h) =>
        h.fromColonyId === colonyId &&
        body.units.find((u) => u.colonyId === h.colonyId)?.queen === 'old-queen',
    )?.colonyId;
  const leaving = body.units.flatMap((u) => {
    const home = u.queenLeaves ? homeOf(u.colonyId) : undefined;
    return home === undefined ? [] : [{ colonyId: u.colonyId, home }];
  });
  const { request } = body;
  return {
    id,
    name,
    day,
    status,
    body: {
      v: 2,
      asked: body.effects
        ? { source: 'action', yardIds: request.yardIds }
        : {
            source: 'yard',
            request,
            cost: body.cost,
            bound: body.bound,
            shortfalls: body.shortfalls,
          },
      countedOn: body.countedOn,
      units: body.units.map((u): WorkUnit => {
        const isNew = u.kind === 'nuc';
        const raises = u.queen === 'raises' || u.queen === 'cell';
        const parent = body.newHives.find((h) => h.colonyId === u.colonyId)?.fromColonyId;
        const home = leaving.find((l) => l.colonyId === u.colonyId)?.home;
        return {
          key: u.key,
          colonyId: u.colonyId,
          name: u.name,
          state: isNew ? 'new' : 'stays',
          distance: null,
          gets: u.queen,
          parted:
            isNew && parent !== undefined
              ? {
                  queen: raises ? 'elsewhere' : 'here',
                  // A ripe cell was given within three days and opened within two more.
                  emergence:
                    u.queen === 'cell' ? { window: windowAfter(day, 2, 3, 5), anchor: 'work' } : null,
                  partIds: [parent, u.colonyId],
                }
              : home === undefined
                ? null
                : { queen: 'elsewhere', emergence: null, partIds: [u.colonyId, home] },
          before: isNew ? null : u.before,
          after: u.after,
        };
      }),
      newHives: body.newHives.map(({ boxId, sizeId, slots, ...h }) => ({
        ...h,
        boxes: [{ from: 'kit', boxId, sizeId, slots }],
      })),
      newBoxes: body.newBoxes.map((b) => ({ ...b, place: 'in-place' })),
      unions: body.unions,
      emptiedBoxIds: body.emptiedBoxIds,
      moves: body.moves,
      shakes: body.shakes,
      effects: [
        ...(body.effects ?? []).map((e): WorkEffect =>
          e.kind === 'cell-in' ? { ...e, emergence: { window: e.emergence, anchor: 'work' } } : e,
        ),
        ...leaving.map(({ colonyId, home }): WorkEffect => ({ kind: 'queen-over', colonyId, intoId: home })),
      ],
      ledger: body.ledger,
      kit: body.kit,
      cautions: body.cautions,
      looks: body.looks.map((l) => ({ ...l, anchor: 'work' })),
      ...kept(body),
    },
  };
}

/** A step of either kind. Version 1 said only in its words what it was about: they are read here, for the last time. */
export function workStepOf(step: StepV1, work: Work | undefined, workId: string): WorkStep {
  const { id, order, kind, text, detail, doneOn, frameIds } = step;
  return {
    id,
    workId,
    order,
    kind,
    task: taskOf(step),
    text,
    detail,
    doneOn,
    unitKeys: work ? unitsIn(text, work) : [],
    frameIds,
  };
}

function taskOf({ kind, text, frameIds }: StepV1): StepTask | null {
  if (kind === 'move') {
    if (/^Carry (the frame with the queen )?back/.test(text)) return 'carry-back';
    if (text.startsWith('Slide ')) return 'slide';
    return frameIds.length === 1 && text.includes('→') ? 'carry' : null;
  }
  if (kind !== 'find') return null;
  if (/^(Reserve|Choose|Cell reserved)/.test(text)) return 'keep-cell';
  if (text.startsWith('Remove every other cell')) return 'cut-cells';
  return /queen/i.test(text) ? 'find-queen' : null;
}

/** "Nuc 1" is not in "Nuc 12"; "both" are the two parts of a split. */
function unitsIn(text: string, { body }: Work): string[] {
  if (text.startsWith('Close both')) return body.units.map((u) => u.key);
  return body.units
    .filter(({ name }) => {
      const at = text.indexOf(name);
      return at >= 0 && !/\w/.test(text[at + name.length] ?? '');
    })
    .map((u) => u.key)
    .slice(0, 24);
}
