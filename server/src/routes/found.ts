import type { DesignStore } from "../db/designStore";
import { HttpProblem } from "../problem";

export function missing(id: string): HttpProblem {
  return new HttpProblem(404, `There is no design “${id}”; it may be in the bin.`);
}

/** 412: what a request builds on is no longer so. */
export function stale(revision: number): HttpProblem {
  return new HttpProblem(412, `The design has changed since; it is at revision ${revision}.`, { revision });
}

/** A design that is not in the bin; 404 otherwise. */
export async function existing(store: DesignStore, id: string) {
  const row = await store.find(id);
  if (!row || row.binned !== null) throw missing(id);
  return row;
}

/** One save of a design; 404 where there is none. */
export async function revisionOf(store: DesignStore, { id, revision }: { id: string; revision: string }) {
  const row = /^\d{1,9}$/.test(revision) ? await store.revision(id, Number(revision)) : undefined;
  if (!row) throw new HttpProblem(404, `There is no revision ${revision} of “${id}”.`);
  return row;
}
