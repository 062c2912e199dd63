import { z } from 'zod';
import type { Apiary, Colony } from '../records.ts';
import { boxesOfColony, boxName, colonyAtSlot } from '../views.ts';
import { daySchema } from '../../basics/index.ts';

const recordId = z.uuid();

/** Something that was done, or turned out, other than planned. */
const workReport = z.discriminatedUnion('what', [
  /** A frame went to another colony than planned, or stayed. No slot: the first that is free. */
  z.strictObject({
    what: z.literal('frame-went'),
    frameId: recordId,
    toColonyId: recordId,
    slot: z.int().min(1).max(40).nullable(),
  }),
  /** The queen was found: on a frame, or beside the frames of a part. */
  z.strictObject({ what: z.literal('queen-found'), colonyId: recordId, frameId: recordId.nullable() }),
  /** A cell of this frame was chosen: it is neither carried nor shaken any more. */
  z.strictObject({ what: z.literal('cell-reserved'), frameId: recordId }),
  /** A cell of this frame broke. */
  z.strictObject({ what: z.literal('cell-broken'), frameId: recordId }),
  /** A virgin runs in a unit where none was expected: the first, or one more. */
  z.strictObject({ what: z.literal('virgin-seen'), colonyId: recordId }),
  /** One more unit was made than planned, of these frames. */
  z.strictObject({
    what: z.literal('unit-added'),
    fromColonyId: recordId,
    name: z.string().trim().min(1).max(80),
    frameIds: z.array(recordId).min(1).max(12),
  }),
]);
export type WorkReport = z.infer<typeof workReport>;

/** A report as it is kept with the plan. */
export const keptReport = z.strictObject({
  day: daySchema,
  report: workReport,
  /** What happened, in words. */
  words: z.string().max(400),
});
export type KeptReport = z.infer<typeof keptReport>;

/** The colony in whose chamber a frame hangs; undefined for the store, or where colonies share a box. */
export function colonyOfFrame(apiary: Apiary, frameId: string): Colony | undefined {
  const frame = apiary.frame[frameId];
  const box = frame?.boxId ? apiary.box[frame.boxId] : undefined;
  if (!frame || !box || frame.slot === null) return undefined;
  return apiary.colony[colonyAtSlot(box, frame.slot) ?? ''];
}

/** Where a frame hangs by the records, in words: "Tansy, upper box, frame 4". */
export function frameInWords(apiary: Apiary, frameId: string): string {
  const frame = apiary.frame[frameId];
  if (!frame?.boxId) return 'a frame of the store';
  const colony = colonyOfFrame(apiary, frameId);
  if (!colony) return `frame ${frame.slot}`;
  const boxes = boxesOfColony(apiary, colony);
  const where = boxes.length > 1 ? `, ${boxName(boxes, frame.boxId)}` : '';
  return `${colony.name}${where}, frame ${frame.slot}`;
}

/** A report in one line. Names are those of the plan, whose new units are in no records yet. */
export function reportInWords(
  apiary: Apiary,
  report: WorkReport,
  nameOf: (colonyId: string) => string,
): string {
  switch (report.what) {
    case 'frame-went':
      if (colonyOfFrame(apiary, report.frameId)?.id === report.toColonyId && report.slot === null)
        return `${frameInWords(apiary, report.frameId)} stayed`;
      return `${frameInWords(apiary, report.frameId)} → ${nameOf(report.toColonyId)}${report.slot === null ? '' : `, slot ${report.slot}`}`;
    case 'queen-found':
      return report.frameId === null
        ? `Queen found in ${nameOf(report.colonyId)}`
        : `Queen found on ${frameInWords(apiary, report.frameId)}`;
    case 'cell-reserved':
      return `Cell reserved on ${frameInWords(apiary, report.frameId)}`;
    case 'cell-broken':
      return `A cell broke on ${frameInWords(apiary, report.frameId)}`;
    case 'virgin-seen':
      return `A virgin runs in ${nameOf(report.colonyId)}`;
    case 'unit-added':
      return `One more nuc made: ${report.name}, ${report.frameIds.length} ${report.frameIds.length === 1 ? 'frame' : 'frames'} of ${nameOf(report.fromColonyId)}`;
  }
}
