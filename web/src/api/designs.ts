import { array, number, object, string, type InferType } from "yup";
import { ask, JSON_HEADERS } from "./http";

const listed = object({
  id: string().required(),
  name: string().defined(),
  revision: number().required(),
  changed: number().required(),
  folds: number().required(),
  copies: number().required(),
  size: object({ width: number().required(), height: number().required(), unit: string().required() }).required(),
  thumbnail: string().required(),
});

const page = object({
  designs: array(listed).required(),
  /** Ids of designs that cannot be shown. */
  unreadable: array(string().required()).required(),
  next: string().nullable().defined(),
});
const saved = object({ id: string().required(), revision: number().required() });

/** A design as the wall shows it. */
export type ListedDesign = InferType<typeof listed>;
export type Order = "changed" | "name";

export interface WallQuery {
  readonly search: string;
  readonly sort: Order;
  readonly bin: boolean;
}

export async function listDesigns({ search, sort, bin }: WallQuery, after: string | null) {
  const query = new URLSearchParams({ search, sort, bin: String(bin), ...(after === null ? {} : { after }) });
  const response = await ask(`/api/designs?${query}`);
  return page.validate(await response.json());
}

/** Creates a design from a design file's data; answers its id. */
export async function createDesign(file: unknown): Promise<string> {
  const response = await ask("/api/designs", { method: "POST", headers: JSON_HEADERS, body: JSON.stringify(file) });
  return (await saved.validate(await response.json())).id;
}

/** The design file as data, and the revision it is at. */
export async function fetchDesign(id: string): Promise<{ file: unknown; revision: number }> {
  const response = await ask(`/api/designs/${id}`, { cache: "no-store" });
  const file: unknown = await response.json();
  return { file, revision: Number(response.headers.get("ETag")?.replace(/W\/|"/g, "")) };
}

/** Bytes that a browser takes of requests that outlive their page (64 kB by the Fetch standard), less than all of them. */
const MOST_ALIVE = 60_000;

/** Saves on top of a revision; answers the new one. A stale save is an ApiError of status 412. */
export async function saveDesign(id: string, file: unknown, revision: number, last = false): Promise<number> {
  const body = JSON.stringify(file);
  const response = await ask(`/api/designs/${id}`, {
    method: "PUT",
    headers: { ...JSON_HEADERS, "If-Match": `"${revision}"` },
    body,
    // A request that outlives its page may carry no more: a larger one is sent as long as the page is there.
    keepalive: last && new Blob([body]).size < MOST_ALIVE,
  });
  return (await saved.validate(await response.json())).revision;
}

export async function binDesign(id: string): Promise<void> {
  await ask(`/api/designs/${id}`, { method: "DELETE" });
}

export async function restoreDesign(id: string): Promise<void> {
  await ask(`/api/designs/${id}/restore`, { method: "POST" });
}
