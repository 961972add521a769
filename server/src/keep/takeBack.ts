import { createHash } from "node:crypto";
import { ValidationError } from "yup";
import { readShelf, writeDesign, type Problem } from "@twin-petal/core";
import type { DesignStore } from "../db/designStore";
import type { Pools, ReadDesign } from "../pools";
import { HttpProblem } from "../problem";
import { newId } from "../routes/newId";
import { keptList, LIST_NAME, SHELF_NAME, type KeptDesign, type KeptList, type KeptPiece } from "./keptFile";
import { FileTrouble, type ZipIn } from "./zipIn";

/** So many faults are told of one file. */
const MOST_TOLD = 20;

/** What becomes of a design that is here otherwise: it stays as it is, becomes the file's, or the file's comes beside it. */
export const CHOICES = ["mine", "file", "both"] as const;
export type Choice = (typeof CHOICES)[number];

/** What was chosen; for what nothing is said of, `usual`, and null for asking. */
export interface Choices {
  readonly usual: Choice | null;
  readonly of: ReadonlyMap<string, Choice>;
}

/** A design of the file that is here otherwise, and of which nothing was chosen. */
interface Differing {
  readonly id: string;
  readonly name: string;
  /** When it was last changed here and in the file, milliseconds since 1970. */
  readonly here: number;
  readonly file: number;
  readonly binned: boolean;
}

/** What came of reading a file of everything. */
export interface TakenBack {
  /** Designs that were brought, with their takes. */
  readonly designs: number;
  readonly takes: number;
  /** Designs that were there already as they are. */
  readonly there: number;
  /** Those of them that lie in the bin here, and do not in the file. */
  readonly binned: readonly { readonly id: string; readonly name: string }[];
  /** Designs that are here otherwise, and were left as they are: a choice can be made. */
  readonly differing: readonly Differing[];
  /** Pieces put on the shelf. */
  readonly pieces: number;
  /** What could not be read, and why. */
  readonly refused: readonly { readonly file: string; readonly errors: readonly Problem[] }[];
}

/** What it is done with and for. */
export interface Bringing {
  readonly store: DesignStore;
  readonly pools: Pick<Pools, "read">;
  readonly zip: ZipIn;
  /** Whose arrivals they are, until they have landed. */
  readonly server: string;
  readonly choices: Choices;
  /** Bytes there is room for. */
  readonly room: () => Promise<number>;
  /** Is told which of how many designs is next. */
  readonly onDesign: (done: number, of: number) => void;
}

/**
 * Brings back what a zip of everything holds, each design whole or not at all. What is here is changed only where that was chosen;
 * what is here already is not brought again.
 */
export async function takeBack(bringing: Bringing): Promise<TakenBack> {
  const list = await listIn(bringing.zip);
  const back = new Back(bringing);
  for (const [done, kept] of list.designs.entries()) {
    bringing.onDesign(done, list.designs.length);
    await back.bring(kept);
  }
  await back.bringPieces(list.pieces ?? []);
  return back.outcome();
}

class Back {
  private readonly done = { designs: 0, takes: 0, there: 0, pieces: 0 };
  private readonly binned: { id: string; name: string }[] = [];
  private readonly differing: Differing[] = [];
  private readonly refused = new Map<string, readonly Problem[]>();

  constructor(private readonly asked: Bringing) {}

  outcome(): TakenBack {
    const refused = [...this.refused].map(([file, errors]) => ({ file, errors }));
    return { ...this.done, binned: this.binned, differing: this.differing, refused };
  }

  async bring(kept: KeptDesign): Promise<void> {
    const { store } = this.asked;
    const here = await store.find(kept.id);
    const text = await this.textOf(kept.file);
    if (text === null) return;
    if (here && (await this.isThere(here.content, text, kept))) {
      this.done.there += 1;
      if (here.binned !== null && !kept.binned) this.binned.push({ id: here.id, name: here.name });
      return;
    }
    const design = await this.read(kept.file, text);
    if (!design) return;
    if (!here) return this.bringAs(kept.id, kept, design);
    const choice = this.asked.choices.of.get(kept.id) ?? this.asked.choices.usual;
    if (choice === "file") return this.bringOnto(kept.id, kept, design);
    if (choice === "both") return this.bringBeside(kept, design);
    if (choice === "mine") return;
    const { id, name, changed, binned } = here;
    this.differing.push({ id, name, here: changed, file: kept.changed, binned: binned !== null });
  }

  /** Puts pieces on the shelf that are not on it. */
  async bringPieces(pieces: readonly KeptPiece[]): Promise<void> {
    // The last is put first: they stand in the order they had.
    for (const { file, kind } of pieces.toReversed()) {
      const text = await this.textOf(file);
      if (text === null || (await this.asked.store.shelf.has(kind, text))) continue;
      const piece = await this.read(file, text, kind);
      if (piece) await this.shelve(file, kind, piece.summary.name, piece.content);
    }
    await this.bringShelf();
  }

  /** The shelf of a file of the version before. */
  private async bringShelf(): Promise<void> {
    if (this.asked.zip.sizeOf(SHELF_NAME) === 0) return;
    const text = await this.textOf(SHELF_NAME);
    if (text === null) return;
    const { pieces, problems } = readShelf(jsonIn(text));
    if (problems.length > 0) this.refused.set(SHELF_NAME, problems.slice(0, MOST_TOLD));
    for (const { kind, design } of pieces.toReversed()) {
      await this.shelve(SHELF_NAME, kind, design.name, writeDesign(design));
    }
  }

  private async shelve(file: string, kind: Shelved, name: string, content: string): Promise<void> {
    const { shelf } = this.asked.store;
    if (await shelf.has(kind, content)) return;
    if (await shelf.add(newId(), kind, { name, content })) this.done.pieces += 1;
    else this.refuse(file, `the shelf is full: “${name}” is left out`);
  }

  /** Whether a design is here as it is in the file, with all its takes. */
  private async isThere(content: string, text: string, { id, file, takes }: KeptDesign): Promise<boolean> {
    if (content !== text && content !== (await this.read(file, text))?.content) return false;
    for (const take of takes) {
      const own = await this.textOf(take.file);
      if (own === null || (await this.asked.store.takes.has(id, take.name, own))) continue;
      const read = await this.read(take.file, own);
      if (read && !(await this.asked.store.takes.has(id, take.name, read.content))) return false;
    }
    return true;
  }

  /** Beside what is here, under an id that follows from both: brought once more it is there already. */
  private async bringBeside(kept: KeptDesign, design: ReadDesign): Promise<void> {
    const beside = createHash("sha256").update(`${kept.id} ${design.content}`).digest("hex").slice(0, 12);
    if (await this.asked.store.find(beside)) this.done.there += 1;
    else await this.bringAs(beside, kept, design);
  }

  private async bringOnto(id: string, kept: KeptDesign, design: ReadDesign): Promise<void> {
    const arriving = newId();
    const takes = await this.arrive(arriving, { ...kept, binned: false }, design);
    await this.asked.store.arrivals.landOn(id, arriving);
    this.count(takes);
  }

  private async bringAs(id: string, kept: KeptDesign, design: ReadDesign): Promise<void> {
    const takes = await this.arrive(id, kept, design);
    await this.asked.store.arrivals.land(id);
    this.count(takes);
  }

  private count(takes: number): void {
    this.done.designs += 1;
    this.done.takes += takes;
  }

  /** Brings a design that nothing shows yet, with those of its takes that can be read; answers how many. */
  private async arrive(id: string, kept: KeptDesign, design: ReadDesign): Promise<number> {
    const { store, server } = this.asked;
    await this.checkRoom(kept);
    const { changed, binned, takes } = kept;
    const present = takes.find(({ revision }) => revision === kept.revision);
    const earlier = new Map(takes.map((take) => [take.revision, take]));
    earlier.delete(kept.revision);
    const revision = Math.max(kept.revision, ...[...earlier.keys()].map((own) => own + 1));
    const take = present?.name ?? null;
    await store.arrivals.begin(id, server, { ...design, revision, changed, binned: binned ? changed : null, take });
    let count = present ? 1 : 0;
    for (const own of earlier.values()) {
      const text = await this.textOf(own.file);
      const read = text === null ? null : await this.read(own.file, text);
      if (!read) continue;
      const { revision: at, changed: when, name } = own;
      await store.arrivals.add(id, { revision: at, changed: when, take: name, content: read.content });
      count += 1;
    }
    return count;
  }

  private async checkRoom({ file, takes }: KeptDesign): Promise<void> {
    const { zip, room } = this.asked;
    const needed = [file, ...takes.map((take) => take.file)].reduce((sum, name) => sum + zip.sizeOf(name), 0);
    if (needed <= (await room())) return;
    const { designs } = this.done;
    throw new HttpProblem(
      507,
      `There is no room on the server's disk for all of it: ${designs} designs were brought. Free some, and bring the file again; what is there is not brought twice.`,
    );
  }

  private async textOf(file: string): Promise<string | null> {
    const text = await this.asked.zip.text(file).catch((error: unknown) => {
      if (!(error instanceof FileTrouble)) throw error;
      return error;
    });
    if (typeof text === "string") return text;
    this.refuse(file, text === null ? "is not in the zip" : text.message);
    return null;
  }

  private async read(file: string, text: string, kind: Shelved | null = null): Promise<ReadDesign | null> {
    try {
      return await this.asked.pools.read(text, kind);
    } catch (error) {
      if (!(error instanceof HttpProblem)) throw error;
      this.refused.set(file, (error.problems ?? [{ path: "", message: error.message }]).slice(0, MOST_TOLD));
      return null;
    }
  }

  private refuse(file: string, message: string): void {
    this.refused.set(file, [...(this.refused.get(file) ?? []), { path: "", message }]);
  }
}

type Shelved = KeptPiece["kind"];

async function listIn(zip: ZipIn): Promise<KeptList> {
  const text = await zip.text(LIST_NAME).catch((error: unknown) => {
    throw error instanceof FileTrouble ? new HttpProblem(422, `${LIST_NAME} ${error.message}.`) : error;
  });
  if (text === null) throw new HttpProblem(422, `The zip holds no ${LIST_NAME}: it is none that was kept here.`);
  try {
    return keptList.validateSync(jsonIn(text), { strict: true, abortEarly: false });
  } catch (error) {
    if (error instanceof ValidationError)
      throw new HttpProblem(422, `${LIST_NAME}: ${error.errors.slice(0, 5).join("; ")}.`);
    throw error;
  }
}

function jsonIn(text: string): unknown {
  try {
    const data: unknown = JSON.parse(text);
    return data;
  } catch {
    return null;
  }
}
