import { dayInWords } from '../basics/index.ts';
import { type Apiary, type Colony, queenOf, visitsOf, markingColour } from '../records/index.ts';

/**
 * Where what was seen of a queen and what the record says of her do not agree. Both are shown with what
 * could explain them; neither is changed.
 */
export function queenDoubts(apiary: Apiary, colony: Colony): string[] {
  const queen = queenOf(apiary, colony.id);
  if (!queen) return [];
  const doubts: string[] = [];
  const seenOn = visitsOf(apiary, colony.id).find(
    (v) => v.evidence?.queen.look === 'found' && v.evidence.queen.dot,
  );
  const dot = seenOn?.evidence?.queen.look === 'found' ? seenOn.evidence.queen.dot : undefined;
  const recorded = queen.dot ?? (queen.birthYear === null ? null : markingColour(queen.birthYear));
  if (seenOn && dot && recorded && dot !== recorded) {
    const seen = dot === 'none' ? 'no mark' : `a ${dot} mark`;
    const why =
      dot === 'none'
        ? 'The mark may have worn off, or she is a daughter.'
        : 'She may be another queen, or one of the two was noted wrong.';
    doubts.push(`On ${dayInWords(seenOn.day)} she wore ${seen}; the record says ${recorded}. ${why}`);
  }
  return doubts;
}
