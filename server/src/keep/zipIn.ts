import { text } from "node:stream/consumers";
import { crc32 } from "node:zlib";
import { open as openFile, type Entry, type ZipFile } from "yauzl";
import { HttpProblem } from "../problem";

/** Files one zip may hold; what is kept holds no more. */
export const MOST_FILES = 500_000;
/** What a file may come to when it is unpacked, bytes: more than a design of the largest size comes to. */
const MOST_UNPACKED = 64 * 2 ** 20;

/** Why a file of a zip cannot be read, in words. */
export class FileTrouble extends Error {}

/** A zip on disk, of which one file at a time is unpacked. */
export class ZipIn {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** Opens a zip by its path. Throws an HttpProblem where it is none. */
  static async open(path: string): Promise<ZipIn> {
    const zip = await new Promise<ZipFile>((resolve, reject) => {
      openFile(path, { lazyEntries: true, autoClose: false }, (error, opened) =>
        error ? reject(new HttpProblem(400, "The body is no zip, or a broken one.")) : resolve(opened),
      );
    });
    try {
      return new ZipIn(zip, await entriesOf(zip));
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  /** Bytes of a file once it is unpacked, as the zip says; 0 where it holds none of that name. */
  sizeOf(name: string): number {
    return this.entries.get(name)?.uncompressedSize ?? 0;
  }

  /** The text of a file; null where there is none of that name. Throws a FileTrouble. */
  async text(name: string): Promise<string | null> {
    const entry = this.entries.get(name);
    if (!entry) return null;
    if (entry.uncompressedSize > MOST_UNPACKED) {
      throw new FileTrouble(`comes to more than ${MOST_UNPACKED / 2 ** 20} MB when it is unpacked`);
    }
    const read = await this.unpacked(entry);
    if (crc32(read) !== entry.crc32) throw new FileTrouble("is damaged: its checksum is another");
    return read;
  }

  close(): void {
    this.zip.close();
  }

  private unpacked(entry: Entry): Promise<string> {
    return new Promise<string>((resolve, reject) => {
      this.zip.openReadStream(entry, (error, stream) => {
        if (error) reject(error);
        else text(stream).then(resolve, reject);
      });
    }).catch((error: unknown) => {
      throw new FileTrouble(`cannot be unpacked: ${error instanceof Error ? error.message : String(error)}`);
    });
  }
}

/** Every file of a zip by its name. */
function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  return new Promise((resolve, reject) => {
    if (zip.entryCount > MOST_FILES) {
      return reject(new HttpProblem(413, `The zip holds more than ${MOST_FILES.toLocaleString("en")} files.`));
    }
    zip.on("entry", (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once("end", () => resolve(entries));
    zip.once("error", () => reject(new HttpProblem(400, "The body is no zip, or a broken one.")));
    zip.readEntry();
  });
}
