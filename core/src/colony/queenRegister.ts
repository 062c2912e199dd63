import { yearOf, type Day } from '../basics/index.ts';
import { houseRules } from '../rules/index.ts';
import { markingColour, operationOf, type Apiary, type Colony, type Queen } from '../records/index.ts';

/** A queen as the register has her on a day. */
export interface RegisterLine {
  readonly queen: Queen;
  /** The colony that she is in; null in stock, gone, or in one of several. */
  readonly colony: Colony | null;
  /** Seasons that she has begun, this one included; null where nobody knows her year. */
  readonly seasons: number | null;
  /** No mark, and the colour that queens of her year wear: the year's own when her year is not known. */
  readonly toMark: ReturnType<typeof markingColour> | null;
  /** In more seasons than the house rule allows. */
  readonly toReplace: boolean;
}

/** The year in which a queen was born, or the latest in which she can have been. */
export const yearOfBirth = (queen: Pick<Queen, 'birthYear' | 'bornWithin'>): number | null =>
  queen.birthYear ?? queen.bornWithin?.to ?? null;

/** All queens that are there, by the name of their colony, and those that are gone, latest first. */
export function queenRegister(
  apiary: Apiary,
  today: Day,
): {
  readonly present: readonly RegisterLine[];
  readonly stock: readonly RegisterLine[];
  readonly gone: readonly RegisterLine[];
} {
  const { queenSeasons } = houseRules(operationOf(apiary).houseRules.changes);
  const lines = Object.values(apiary.queen).map((queen): RegisterLine => {
    const { whereabouts } = queen;
    const born = yearOfBirth(queen);
    const seasons = born === null ? null : yearOf(today) - born + 1;
    const isHere = whereabouts.known === 'colony';
    return {
      queen,
      colony: isHere ? (apiary.colony[whereabouts.colonyId] ?? null) : null,
      seasons,
      toMark:
        isHere && queen.dot === null && queen.cagedSince === null && queen.mating !== 'virgin'
          ? markingColour(born ?? yearOf(today))
          : null,
      toReplace: isHere && seasons !== null && seasons > queenSeasons,
    };
  });
  const nameOf = (l: RegisterLine) => l.colony?.name ?? '';
  const of = (known: readonly Queen['whereabouts']['known'][]) =>
    lines.filter((l) => known.includes(l.queen.whereabouts.known));
  return {
    present: of(['colony', 'oneOf']).toSorted((a, b) => nameOf(a).localeCompare(nameOf(b))),
    stock: of(['stock']).toSorted((a, b) =>
      (a.queen.cagedSince ?? '').localeCompare(b.queen.cagedSince ?? ''),
    ),
    gone: of(['gone']).toSorted((a, b) => (b.queen.end?.day ?? '').localeCompare(a.queen.end?.day ?? '')),
  };
}

/** The line of a queen: her mothers back to the first that is known, and her daughters. */
export function queenKin(
  apiary: Apiary,
  queen: Queen,
): {
  readonly kin: readonly { readonly queen: Queen; readonly generation: number }[];
  readonly lines: readonly { readonly from: string; readonly to: string }[];
} {
  const kin = [{ queen, generation: 0 }];
  const lines: { from: string; to: string }[] = [];
  const seen = new Set([queen.id]);
  for (let child = queen; child.motherQueenId !== null;) {
    const mother: Queen | undefined = apiary.queen[child.motherQueenId];
    if (!mother || seen.has(mother.id)) break;
    seen.add(mother.id);
    kin.unshift({ queen: mother, generation: (kin[0]?.generation ?? 0) - 1 });
    lines.push({ from: mother.id, to: child.id });
    child = mother;
  }
  const queue = [{ queen, generation: 0 }];
  for (let next = queue.shift(); next; next = queue.shift()) {
    const mother = next;
    for (const daughter of Object.values(apiary.queen)) {
      if (daughter.motherQueenId !== mother.queen.id || seen.has(daughter.id)) continue;
      seen.add(daughter.id);
      const one = { queen: daughter, generation: mother.generation + 1 };
      kin.push(one);
      queue.push(one);
      lines.push({ from: mother.queen.id, to: daughter.id });
    }
  }
  return { kin, lines };
}
