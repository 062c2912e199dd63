import { dayInWords } from '../../../basics/index.ts';
import { framesOfColony, type CommandOf, type Given } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { dropLooks } from '../droppingLooks.ts';
import { fileJob } from '../fileJob.ts';
import { noteEnded } from '../noteEnded.ts';
import { notBefore } from './places.ts';

type Path = readonly (string | number)[];

/** Feed or a treatment goes into a hive. Its combs are not for honey afterwards. */
export function decideGive(draft: Draft, command: CommandOf<'give'>, path: Path): void {
  const { given } = command;
  const at = [...path, 'given'];
  const colony = draft.need('colony', given.colonyId, [...at, 'colonyId']);
  if (!colony) return;
  noteEnded(draft, colony, [...at, 'colonyId'], 'Choose a colony that is there.');
  notBefore(draft, colony, given.day, [...at, 'day']);
  inOrder(draft, given, at);
  draft.add('given', given, [...at, 'id']);
  const { body } = given;
  const sweet = body.kind === 'feed' && body.what !== 'honey' && body.what !== 'patty';
  if (sweet || body.kind === 'treatment') {
    for (const { frame } of framesOfColony(draft.apiary, colony))
      draft.put('frame', {
        ...frame,
        care: { ...frame.care, ...(sweet ? { fedOn: given.day } : { treatedOn: given.day }) },
      });
  }
  if (body.kind === 'treatment' && body.outBy !== null && given.outOn === null)
    fileJob(draft, [...command.newIds], {
      colonyIds: [colony.id],
      topic: 'take-out',
      window: { earliest: body.outBy, likely: body.outBy, latest: body.outBy },
      expect: `Take ${body.what} out of ${colony.name}: its label sets the day. Write down how many pieces came out.`,
    });
}

function inOrder(draft: Draft, { day, outOn, body }: Given, at: Path): void {
  const out = outOn ?? (body.kind === 'treatment' ? body.outBy : null);
  if (out === null || out >= day) return;
  draft.problem(
    'window-reversed',
    [...at, 'outOn'],
    `It would be out on ${dayInWords(out)}, before it was in on ${dayInWords(day)}.`,
    'Correct one of the two days.',
  );
}

/** It is taken up, or was taken out. */
export function decideTakeOut(draft: Draft, command: CommandOf<'takeOut'>, path: Path): void {
  const given = draft.need('given', command.givenId, [...path, 'givenId']);
  if (!given) return;
  const { body } = given;
  if (body.kind === 'feed' && command.leftKg !== null && command.leftKg > body.kg) {
    draft.problem(
      'amounts',
      [...path, 'leftKg'],
      `${command.leftKg} kg left of ${body.kg} kg that went in.`,
      'Correct what was left, or what was given.',
    );
    return;
  }
  const out: Given = {
    ...given,
    outOn: command.day,
    body: body.kind === 'feed' ? { ...body, leftKg: command.leftKg } : body,
  };
  inOrder(draft, out, path);
  draft.put('given', out);
  if (body.kind === 'treatment')
    dropLooks(draft, given.colonyId, (f) => f.topic === 'take-out' && f.window.likely === body.outBy);
}
