import { dayInWords, lowerFirst, type Day } from '../basics/index.ts';
import { givenTo, visitsOf, type Apiary, type Colony } from '../records/index.ts';

/** A treatment that is in a hive on a day. */
export interface TreatmentIn {
  readonly what: string;
  readonly since: Day;
  /** The day by which it is to come out; null where nobody said. */
  readonly outBy: Day | null;
}

/** What is in the hive by way of treatment, as was noted when it was put in, or seen since; null when nothing is. */
export function treatmentIn(apiary: Apiary, colony: Colony, day: Day): TreatmentIn | null {
  const put = givenTo(apiary, colony.id).find(
    // What is given once is in no hive afterwards.
    (g) =>
      g.body.kind === 'treatment' &&
      g.body.outBy !== null &&
      g.day <= day &&
      (g.outOn === null || g.outOn > day),
  );
  const look = visitsOf(apiary, colony.id).find(
    (v) => v.day <= day && v.evidence && v.evidence.treatment.look !== 'notLooked',
  );
  const seen = look?.evidence?.treatment;
  if (put?.body.kind === 'treatment' && !(look && look.day > put.day && seen?.look === 'notFound'))
    return { what: put.body.what, since: put.day, outBy: put.body.outBy };
  // What was seen before the last one came out is gone with it.
  const out = givenTo(apiary, colony.id).some(
    (g) => g.body.kind === 'treatment' && g.outOn !== null && g.outOn <= day && look && g.outOn >= look.day,
  );
  if (!look || seen?.look !== 'found' || out) return null;
  return { what: seen.what ?? 'A treatment', since: look.day, outBy: null };
}

/** Why a hive is not divided while a treatment is in it, and the way on. */
export function treatmentFirst(
  apiary: Apiary,
  colony: Colony,
  day: Day,
): { why: string; remedy: string } | null {
  const found = treatmentIn(apiary, colony, day);
  if (!found) return null;
  const due = found.outBy === null ? 'when its label says so' : `by ${dayInWords(found.outBy)}`;
  return {
    why: `${found.what} in ${colony.name} since ${dayInWords(found.since)}: the dose is meant for the bees in the box, and comb that is treated goes to no other hive.`,
    remedy: `Take ${lowerFirst(found.what)} out first, ${due}, and note it on the page of ${colony.name}; then plan again. The label rules.`,
  };
}
