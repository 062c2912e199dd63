import { cellsOf } from '../../cells/index.ts';
import { treatmentFirst } from '../../colony/index.ts';
import { daysBetween, type Day, failure, success, type Result } from '../../basics/index.ts';
import {
  operationOf,
  type Apiary,
  type Colony,
  boxesOfColony,
  boxName,
  combSlots,
  countedOn,
  framesOfColony,
  readingOf,
} from '../../records/index.ts';
import { framesOn } from '../../forecast/index.ts';
import type { Donor } from './method.ts';
import { houseRules, stayShares } from '../../rules/index.ts';
import { planFrame } from './measure.ts';

/** A donor and how far its counts had to be carried forward. */
export interface PreparedDonor {
  readonly donor: Donor;
  readonly projectedDays: number;
}

/**
 * Brings a colony to the day of the work, as something to plan with.
 *
 * Fails, with the remedy, when the colony was never counted, was counted only in part, or is to be worked
 * on before its count.
 */
export function prepareDonor(apiary: Apiary, colony: Colony, day: Day): Result<PreparedDonor> {
  const placed = framesOfColony(apiary, colony);
  const unread = placed.filter((p) => p.reading === null);
  const counted = countedOn(placed);
  if (counted === null) {
    return failure({
      code: 'not-counted',
      path: ['colonyId'],
      message: `${colony.name} has not been counted yet.`,
      remedy: 'Count its frames first; a plan rests on what is in them.',
    });
  }
  const projectedDays = daysBetween(counted, day);
  if (projectedDays < 0) {
    return failure({
      code: 'before-count',
      path: ['day'],
      message: `${colony.name} was counted on ${counted}, after the day of the work.`,
      remedy: 'Choose the day of the count or a later one.',
    });
  }
  if (unread.length > placed.length / 2) {
    return failure({
      code: 'mostly-unread',
      path: ['colonyId'],
      message: `${unread.length} of ${placed.length} frames of ${colony.name} were never read.`,
      remedy: 'Count the rest first.',
    });
  }
  const treated = treatmentFirst(apiary, colony, day);
  if (treated)
    return failure({ code: 'treated', path: ['colonyId'], message: treated.why, remedy: treated.remedy });
  const operation = operationOf(apiary);
  const shares = stayShares(houseRules(operation.houseRules.changes));
  const boxes = boxesOfColony(apiary, colony);
  const frames = framesOn(apiary, colony, day).map((p) => {
    const label = `${boxName(boxes, p.box.id)}, frame ${p.slot}`;
    return planFrame(
      {
        id: p.frame.id,
        label,
        size: p.frame.sizeId,
        hangsAs: p.box.sizeId,
        boxId: p.box.id,
        slot: p.slot,
        reading: readingOf(p),
      },
      operation.referenceSize,
      shares,
    );
  });
  return success({
    projectedDays,
    donor: {
      colonyId: colony.id,
      name: colony.name,
      boxes: boxes.map((b) => ({
        id: b.id,
        name: boxName(boxes, b.id),
        sizeId: b.sizeId,
        slots: b.slots,
        combSlots: combSlots(b),
        role: b.role,
        excluderBelow: b.excluderBelow,
      })),
      frames,
      cells: cellsOf(apiary, colony, day).filter((c) => c.stage !== 'over'),
      countedOn: counted,
    },
  });
}
