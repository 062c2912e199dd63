import type { RecordKind } from '@incremen/core/records';

/** So many of its latest visits are always among the present records of a colony. */
const LATEST_VISITS = 4;
/** What was seen, noted or photographed on a visit stays among them for so long. */
const SEEN_DAYS = 730;
/** What was seen of a part in its first weeks stays for good: one's own results of raising queens are learned from it. */
const RAISING_DAYS = 120;

const OWN = `(select "id" from "asked")`;

/**
 * Which rows are present records, as a condition on the row `r` of an operation that stands in the table `asked`: the
 * reading that stands for a comb; of visits the latest of each colony, those that present readings, photos and clashes
 * refer to, and those that say something and are not long past. The rest stays in the tables and comes by request.
 */
export const PRESENT_ROWS: Partial<Record<RecordKind, string>> = {
  reading: `exists (select 1 from "frame" f where f."reading_id" = r."id")`,
  visit: `(
    r."id" in (
      select n."id" from (
        select v."id", row_number() over (
          partition by v."colony_id" order by v."day" desc, v."time" desc nulls last, v."id") as "place"
        from "visit" v where v."operation_id" = ${OWN}) n
      where n."place" <= ${LATEST_VISITS})
    or r."id" in (
      select d."visit_id" from "frame" f join "reading" d on d."id" = f."reading_id"
      where f."operation_id" = ${OWN})
    or r."id" in (select p."visit_id" from "photo" p where p."operation_id" = ${OWN})
    or r."id"::text in (
      select c."clash"->>'withVisitId' from "visit" c where c."operation_id" = ${OWN} and c."clash" is not null)
    or ((r."evidence" is not null or r."note" <> '' or r."clash" is not null or r."unexpected" is not null)
      and (r."day" > (select max(v."day") from "visit" v where v."operation_id" = ${OWN}) - ${SEEN_DAYS}
        or exists (
          select 1 from "colony" c where c."id" = r."colony_id" and r."day" between
            (c."separation"->>'day')::date and (c."separation"->>'day')::date + ${RAISING_DAYS})))
  )`,
};
