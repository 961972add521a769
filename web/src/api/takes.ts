import { array, number, object, string, type InferType } from "yup";
import { ask, JSON_HEADERS } from "./http";

const take = object({
  revision: number().required(),
  name: string().required(),
  changed: number().required(),
  picture: string().required(),
});
const takes = object({ takes: array(take).required() });
const saves = object({
  revisions: array(
    object({ revision: number().required(), changed: number().required(), take: string().nullable().defined() }),
  ).required(),
});

/** A state of a design that is kept under a name. */
export type Take = InferType<typeof take>;
/** An earlier save of a design; `take` is its name where it is kept. */
export type Save = InferType<typeof saves>["revisions"][number];

const named = (name: string) => ({ headers: JSON_HEADERS, body: JSON.stringify({ name }) });

export async function listTakes(id: string): Promise<Take[]> {
  return (await takes.validate(await (await ask(`/api/designs/${id}/takes`)).json())).takes;
}

/** Every save there still is, the latest first. */
export async function listSaves(id: string): Promise<Save[]> {
  return (await saves.validate(await (await ask(`/api/designs/${id}/revisions`)).json())).revisions;
}

/** Keeps the present state under a name; a stale revision is an ApiError of status 412. */
export async function keepTake(id: string, name: string, revision: number): Promise<void> {
  const { headers, body } = named(name);
  await ask(`/api/designs/${id}/takes`, {
    method: "POST",
    headers: { ...headers, "If-Match": `"${revision}"` },
    body,
  });
}

/** Names a save, which is a take from then on. */
export async function nameTake(id: string, revision: number, name: string): Promise<void> {
  await ask(`/api/designs/${id}/takes/${revision}`, { method: "PUT", ...named(name) });
}

/** Lets go of a take: it is an earlier save again. */
export async function dropTake(id: string, revision: number): Promise<void> {
  await ask(`/api/designs/${id}/takes/${revision}`, { method: "DELETE" });
}

/** The design file as it was saved, as data. */
export async function fetchSave(id: string, revision: number): Promise<unknown> {
  return (await ask(`/api/designs/${id}/revisions/${revision}`)).json();
}

/** Where the picture of a save is. */
export const pictureOfSave = (id: string, revision: number): string =>
  `/api/designs/${id}/revisions/${revision}/picture.png`;
