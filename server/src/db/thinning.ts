import { sql, type SQL } from "drizzle-orm";

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** So many saves of one hour are kept at most: a hand that never rests saves some hundreds. */
const MOST_OF_AN_HOUR = 1_000;

/**
 * Which of a design's earlier saves are given up at a time (milliseconds since 1970): every one of the last hour is kept, then
 * the last of each hour of a day, then the last of each day. What was kept under a name, and the present state, stay for good.
 */
export function thinnedOut(design: string, present: number, now: number): SQL {
  const age = sql`case when changed > ${now - DAY} then 'hour ' || cast(changed / ${HOUR} as integer) else 'day ' || cast(changed / ${DAY} as integer) end`;
  return sql`delete from revisions
    where design = ${design} and take is null and revision <> ${present} and (
      (changed <= ${now - HOUR} and revision not in (
        select max(revision) from revisions where design = ${design} and changed <= ${now - HOUR} group by ${age}
      ))
      or revision <= ${present - MOST_OF_AN_HOUR} and changed > ${now - HOUR}
    )`;
}
