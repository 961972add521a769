import { strToU8, Zip, ZipDeflate } from "fflate";
import { fileName, parseDesign, writeShelf } from "@twin-petal/core";
import type { DesignStore } from "../db/designStore";
import { KEPT_FORMAT, LIST_NAME, SHELF_NAME, type KeptDesign, type KeptList } from "./keptFile";

/**
 * Everything there is as one zip, piece by piece: every design, those in the bin too, with its takes, and the shelf. Design files
 * stand in it under their names, and open by themselves.
 */
export async function* keepAll(store: DesignStore): AsyncGenerator<Uint8Array> {
  const packer = new Packer();
  const designs: KeptDesign[] = [];
  for (const id of await store.allIds()) {
    const row = await store.find(id);
    if (!row) continue;
    const { revision, changed, binned, content, name } = row;
    const folder = `designs/${id}`;
    const file = `${folder}/${fileName(name)}.petal.json`;
    yield* packer.add(file, content);
    const takes: KeptDesign["takes"] = [];
    for (const take of await store.takes.whole(id)) {
      const own = `${folder}/takes/${take.revision} ${fileName(take.name)}.petal.json`;
      yield* packer.add(own, take.content);
      takes.push({ file: own, revision: take.revision, changed: take.changed, name: take.name });
    }
    designs.push({ id, file, revision, changed, binned: binned !== null, takes });
  }
  yield* packer.add(SHELF_NAME, await shelfText(store));
  const list: KeptList = { format: KEPT_FORMAT, designs };
  yield* packer.add(LIST_NAME, JSON.stringify(list, null, 2));
  yield* packer.end();
}

async function shelfText(store: DesignStore): Promise<string> {
  const rows = await store.shelf.whole();
  return writeShelf(
    rows.flatMap(({ kind, content }) => {
      const { design } = parseDesign(content);
      return design ? [{ kind, design }] : [];
    }),
  );
}

/** Packs files one after the other, and gives what is packed as it comes. */
class Packer {
  private packed: Uint8Array[] = [];
  private readonly zip = new Zip((error, chunk) => {
    if (error) throw error;
    this.packed.push(chunk);
  });

  *add(name: string, text: string): Generator<Uint8Array> {
    const file = new ZipDeflate(name, { level: 6 });
    this.zip.add(file);
    file.push(strToU8(text), true);
    yield* this.given();
  }

  *end(): Generator<Uint8Array> {
    this.zip.end();
    yield* this.given();
  }

  private *given(): Generator<Uint8Array> {
    const packed = this.packed;
    this.packed = [];
    yield* packed;
  }
}
