import { HOUSE_RULES, type HouseRuleId } from '../../rules/index.ts';
import {
  BARE_HIVE,
  BARE_BOX,
  BARE_STAND,
  BARE_YARD,
  type CommandOf,
  newQueen,
  NO_CARE,
  operationOf,
  queenOf,
  type RecordOf,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** Adds a yard; two yards of one name would be mixed up in the field. */
export function decideAddYard(draft: Draft, command: CommandOf<'addYard'>, path: Path): void {
  const same = Object.values(draft.apiary.yard).find((y) => y.name === command.yard.name);
  if (same) {
    draft.problem(
      'name-taken',
      [...path, 'yard', 'name'],
      `There already is a yard called ${same.name}.`,
      'Choose another name.',
    );
  }
  draft.add('yard', { ...command.yard, ...BARE_YARD }, [...path, 'yard', 'id']);
}

/** Puts hives on new stands at the end of the yard; every comb in them enters the operation. */
export function decideAddHives(draft: Draft, command: CommandOf<'addHives'>, path: Path): void {
  if (!draft.need('yard', command.yardId, [...path, 'yardId'])) return;
  const names = new Set(
    Object.values(draft.apiary.colony)
      .filter((c) => c.endedOn === null)
      .map((c) => c.name),
  );
  let order = Object.values(draft.apiary.stand).filter((s) => s.yardId === command.yardId).length;
  command.hives.forEach((hive, i) => {
    const at = [...path, 'hives', i];
    const colonies = [{ colonyId: hive.colonyId, name: hive.name }, ...(hive.besides ?? [])];
    draft.add(
      'stand',
      { ...BARE_STAND, id: hive.standId, yardId: command.yardId, name: hive.name, order: order++ },
      [...at, 'standId'],
    );
    draft.add('hive', { ...BARE_HIVE, id: hive.hiveId, standId: hive.standId, name: hive.name }, [
      ...at,
      'hiveId',
    ]);
    colonies.forEach(({ colonyId, name }, k) => {
      const colonyAt = k === 0 ? at : [...at, 'besides', k - 1];
      if (names.has(name)) {
        draft.problem(
          'name-taken',
          [...colonyAt, 'name'],
          `There already is a colony called ${name}.`,
          'Choose another name.',
        );
      }
      names.add(name);
      draft.add(
        'colony',
        {
          id: colonyId,
          name,
          hiveId: hive.hiveId,
          startedOn: command.day,
          endedOn: null,
          origin: { how: 'entered' },
          separation: null,
          end: null,
          broodGiven: [],
        },
        [...colonyAt, 'colonyId'],
      );
    });
    hive.boxes.forEach((box, position) => {
      const boxAt = [...at, 'boxes', position];
      draft.add(
        'box',
        {
          ...BARE_BOX,
          id: box.id,
          hiveId: hive.hiveId,
          position,
          sizeId: box.sizeId,
          slots: box.slots,
          role: box.role,
          chambers: chambersFor(
            box,
            colonies.map((c) => c.colonyId),
          ),
          excluderBelow: box.excluderBelow ?? false,
        },
        [...boxAt, 'id'],
      );
      box.frames.forEach((f, k) => {
        draft.add(
          'frame',
          {
            id: f.id,
            sizeId: box.sizeId,
            place: 'box',
            boxId: box.id,
            slot: f.slot,
            blank: f.blank,
            combYear: f.combYear,
            readingId: null,
            care: NO_CARE,
          },
          [...boxAt, 'frames', k, 'id'],
        );
      });
    });
  });
}

/**
 * Who has which slots of a new box. Behind partitions the slots are parted evenly, the first colonies
 * getting one more where it does not go up; supers are in common.
 *
 * @example chambersFor({ slots: 10, role: 'brood' }, [a, b]) // => a: 1–5, b: 6–10
 */
export function chambersFor(
  box: { readonly slots: number; readonly role: 'brood' | 'super' },
  colonyIds: readonly string[],
): RecordOf<'box'>['chambers'] {
  const [only, ...others] = colonyIds;
  if (others.length === 0) return [{ colonyId: only ?? null, fromSlot: 1, toSlot: box.slots }];
  if (box.role === 'super') return [{ colonyId: null, fromSlot: 1, toSlot: box.slots }];
  const n = colonyIds.length;
  return colonyIds.map((colonyId, i) => ({
    colonyId,
    fromSlot: Math.ceil((i * box.slots) / n) + 1,
    toSlot: Math.ceil(((i + 1) * box.slots) / n),
  }));
}

/** Takes new frames into the store. */
export function decideAddToStore(draft: Draft, command: CommandOf<'addToStore'>, path: Path): void {
  command.frames.forEach((f, i) => {
    draft.add('frame', { ...f, place: 'store', boxId: null, slot: null, readingId: null, care: NO_CARE }, [
      ...path,
      'frames',
      i,
      'id',
    ]);
  });
}

/** Enters or corrects a queen; one colony has room for one. */
export function decidePutQueen(draft: Draft, command: CommandOf<'putQueen'>, path: Path): void {
  const { queen } = command;
  const at = [...path, 'queen', 'whereabouts'];
  const { whereabouts } = queen;
  if (whereabouts.known === 'colony') {
    if (!draft.need('colony', whereabouts.colonyId, [...at, 'colonyId'])) return;
    const other = queenOf(draft.apiary, whereabouts.colonyId);
    if (other && other.id !== queen.id) {
      draft.problem(
        'two-queens',
        at,
        `This colony already has a queen${other.name ? `, ${other.name}` : ''}.`,
        'Record first where the other queen went.',
      );
      return;
    }
  }
  if (whereabouts.known === 'oneOf')
    whereabouts.colonyIds.forEach((c, i) => draft.need('colony', c, [...at, 'colonyIds', i]));
  const known = draft.get('queen', queen.id);
  draft.put('queen', newQueen({ ...known, ...queen }));
}

/** Renames a colony. */
export function decideRename(draft: Draft, command: CommandOf<'renameColony'>, path: Path): void {
  const colony = draft.need('colony', command.colonyId, [...path, 'colonyId']);
  if (!colony) return;
  const taken = Object.values(draft.apiary.colony).some(
    (c) => c.id !== colony.id && c.endedOn === null && c.name === command.name,
  );
  if (taken) {
    draft.problem(
      'name-taken',
      [...path, 'name'],
      `There already is a colony called ${command.name}.`,
      'Choose another name.',
    );
    return;
  }
  draft.put('colony', { ...colony, name: command.name });
}

/** Changes settings and house rules; a threshold outside its sensible range is refused by name. */
export function decideSettings(draft: Draft, command: CommandOf<'changeSettings'>, path: Path): void {
  const operation = operationOf(draft.apiary);
  const { type: _type, houseRules, likelihoods, ...rest } = command;
  for (const [ruleId, value] of Object.entries(houseRules ?? {}) as [HouseRuleId, number][]) {
    const rule = HOUSE_RULES[ruleId];
    if (value < rule.min || value > rule.max) {
      draft.problem(
        'rule-out-of-range',
        [...path, 'houseRules', ruleId],
        `${rule.label}: ${value} is outside ${rule.min} to ${rule.max} ${rule.unit}.`,
        `The default is ${rule.default}.`,
      );
    }
  }
  const given = Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined));
  draft.put('operation', {
    ...operation,
    ...given,
    houseRules: {
      ...operation.houseRules,
      ...(houseRules && { changes: houseRules }),
      ...(likelihoods && { likelihoods }),
    },
  });
}
