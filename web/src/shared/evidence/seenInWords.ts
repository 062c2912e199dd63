import { DISEASE_SIGN_NAMES, SIGN_NAMES, SIGNS, type Evidence } from '@incremen/core/records';
import { count } from '../../ui/format.ts';

/** What was looked for, found or not, in a line. */
export function seenInWords(evidence: Evidence): string {
  const of = (name: string, look: string, not = `no ${name}`) =>
    look === 'notLooked' ? [] : [look === 'found' ? name : not];
  const { eggs, cappedBrood, cells, queen, diseaseSigns, treatment } = evidence;
  const queenWords =
    queen.look === 'found'
      ? `queen seen${queen.build === 'unsure' ? '' : `, ${queen.build === 'slim' ? 'slender' : queen.build}`}${queen.dot ? `, ${queen.dot === 'none' ? 'no' : queen.dot} mark` : ''}`
      : 'queen';
  const eggWords = eggs.look === 'found' && eggs.perCell === 'several' ? 'several eggs a cell' : 'eggs';
  const cappedWords =
    cappedBrood.look === 'found' && cappedBrood.patch !== 'unsure'
      ? `capped brood, ${cappedBrood.patch}`
      : 'capped brood';
  const cellCount = cells.look === 'found' ? cells.cells.reduce((n, c) => n + c.count, 0) : 0;
  const sick =
    diseaseSigns.look === 'found' && diseaseSigns.signs?.length
      ? diseaseSigns.signs.map((s) => DISEASE_SIGN_NAMES[s]).join(', ')
      : 'signs of brood disease';
  const treated =
    treatment.look === 'found'
      ? `treatment in the hive${treatment.what ? ` (${treatment.what})` : ''}`
      : 'treatment';
  return [
    ...of(queenWords, queen.look, 'queen not seen'),
    ...of(eggWords, eggs.look),
    ...of('small larvae', evidence.youngLarvae.look),
    ...of(cappedWords, cappedBrood.look, 'no capped brood'),
    ...of(cells.look === 'found' ? count(cellCount, 'queen cell') : 'queen cells', cells.look),
    ...of(sick, diseaseSigns.look, 'no signs of brood disease'),
    ...of(treated, treatment.look),
    ...SIGNS.flatMap((s) => of(SIGN_NAMES[s], evidence[s].look)),
    ...(evidence.strength === null ? [] : [`about ${count(evidence.strength, 'frame')} of bees`]),
    ...(evidence.food === null ? [] : [`about ${count(evidence.food, 'frame')} of stores`]),
    ...(evidence.cage === null
      ? []
      : [evidence.cage === 'empty' ? 'the cage is empty' : 'the queen is in her cage']),
    ...(evidence.searchedMin === null ? [] : [`searched for ${count(evidence.searchedMin, 'minute')}`]),
    ...evidence.byBox.flatMap((b, i) =>
      b.caps === null && b.eggs === null
        ? []
        : [
            `of box ${i + 1} noted: ${[
              ...(b.eggs === null ? [] : [b.eggs ? 'eggs' : 'no eggs']),
              ...(b.caps === null ? [] : [b.caps === 'none' ? 'no caps' : `${b.caps} caps`]),
            ].join(' and ')}`,
          ],
    ),
    ...(evidence.mood ? [evidence.mood] : []),
  ].join(', ');
}
