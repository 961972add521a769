import { strFromU8, unzip, type Unzipped } from "fflate";
import { ValidationError } from "yup";
import { readShelf, writeDesign, type Problem } from "@twin-petal/core";
import type { DesignStore, StoredState } from "../db/designStore";
import type { Pools, ReadDesign } from "../pools";
import { HttpProblem } from "../problem";
import { newId } from "../routes/newId";
import { keptList, LIST_NAME, SHELF_NAME, type KeptDesign, type KeptList } from "./keptFile";

/** What a file may come to when it is unpacked, bytes. */
const MOST_BYTES = 2 ** 30;

/** What came of reading a file of everything. */
export interface TakenBack {
  /** Designs that were brought, with their takes. */
  readonly designs: number;
  readonly takes: number;
  /** Designs that were there already as they are. */
  readonly there: number;
  /** Pieces put on the shelf. */
  readonly pieces: number;
  /** What could not be read, and why. */
  readonly refused: readonly { readonly file: string; readonly errors: readonly Problem[] }[];
}

/** Brings back what a zip of everything holds; nothing that is here is changed. What is here already is not brought again. */
export async function takeBack(store: DesignStore, pools: Pools, zip: Uint8Array): Promise<TakenBack> {
  const files = await unpacked(zip);
  const list = listIn(files);
  const refused: { file: string; errors: readonly Problem[] }[] = [];
  const read = async (file: string): Promise<ReadDesign | null> => {
    const text = files[file];
    if (!text) {
      refused.push({ file, errors: [{ path: "", message: "is not in the zip" }] });
      return null;
    }
    return pools.read(strFromU8(text)).catch((error: unknown) => {
      if (!(error instanceof HttpProblem)) throw error;
      refused.push({ file, errors: error.problems ?? [{ path: "", message: error.message }] });
      return null;
    });
  };
  const outcome = { designs: 0, takes: 0, there: 0 };
  for (const kept of list.designs) {
    const state = await stateOf(kept, read);
    if (!state) continue;
    if (await store.isThere(kept.id, state)) {
      outcome.there += 1;
      continue;
    }
    const id = (await store.find(kept.id)) ? newId() : kept.id;
    await store.bring(id, state);
    outcome.designs += 1;
    outcome.takes += state.takes.length;
  }
  return { ...outcome, pieces: await shelfBack(store, files, refused), refused };
}

/** A design with its takes, read; takes that cannot be read are left out. Null where the design itself cannot. */
async function stateOf(
  { file, revision, changed, binned, takes }: KeptDesign,
  read: (file: string) => Promise<ReadDesign | null>,
): Promise<StoredState | null> {
  const design = await read(file);
  if (!design) return null;
  const kept = new Map<number, StoredState["takes"][number]>();
  for (const { file: own, revision: at, changed: when, name } of takes) {
    const state = await read(own);
    if (state) kept.set(at, { revision: at, changed: when, take: name, content: state.content });
  }
  const latest = Math.max(revision, ...kept.keys());
  return { ...design, revision: latest, changed, binned: binned ? Date.now() : null, takes: [...kept.values()] };
}

async function shelfBack(
  store: DesignStore,
  files: Unzipped,
  refused: { file: string; errors: readonly Problem[] }[],
): Promise<number> {
  const text = files[SHELF_NAME];
  if (!text) return 0;
  const { pieces, problems } = readShelf(jsonIn(text));
  if (problems.length > 0) refused.push({ file: SHELF_NAME, errors: problems });
  const here = new Set((await store.shelf.whole()).map(({ kind, content }) => `${kind} ${content}`));
  let count = 0;
  // The last is put first: they stand in the order they had.
  for (const { kind, design } of pieces.toReversed()) {
    const content = writeDesign(design);
    if (here.has(`${kind} ${content}`)) continue;
    if (await store.shelf.add(newId(), kind, { name: design.name, content })) count += 1;
    else
      refused.push({
        file: SHELF_NAME,
        errors: [{ path: "", message: `the shelf is full: “${design.name}” is left out` }],
      });
  }
  return count;
}

function listIn(files: Unzipped): KeptList {
  const text = files[LIST_NAME];
  if (!text) throw new HttpProblem(422, `The zip holds no ${LIST_NAME}: it is none that was kept here.`);
  try {
    return keptList.validateSync(jsonIn(text), { strict: true, abortEarly: false });
  } catch (error) {
    if (error instanceof ValidationError)
      throw new HttpProblem(422, `${LIST_NAME}: ${error.errors.slice(0, 5).join("; ")}.`);
    throw error;
  }
}

function jsonIn(text: Uint8Array): unknown {
  try {
    const data: unknown = JSON.parse(strFromU8(text));
    return data;
  } catch {
    return null;
  }
}

function unpacked(zip: Uint8Array): Promise<Unzipped> {
  let bytes = 0;
  return new Promise((resolve, reject) => {
    const filter = ({ originalSize }: { originalSize: number }) => {
      bytes += originalSize;
      return bytes <= MOST_BYTES;
    };
    unzip(zip, { filter }, (error, files) => {
      if (error) return reject(new HttpProblem(400, "The body is no zip, or a broken one."));
      if (bytes > MOST_BYTES)
        return reject(new HttpProblem(413, "The zip comes to more than 1 GB when it is unpacked."));
      resolve(files);
    });
  });
}
