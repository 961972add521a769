/** A letter and its number. */
export interface Word {
  /** A capital letter. */
  readonly letter: string;
  /** What it says. */
  readonly value: number;
}

/** What stands on one line of a program. */
export interface Block {
  /** The line's number in the file, from 1. */
  readonly line: number;
  /** Its words, without its own number. */
  readonly words: readonly Word[];
}

/** Why a program cannot be followed, and where. */
export interface ProgramFault {
  /** The line's number in the file, from 1. */
  readonly line: number;
  /** What is wrong and what would be right. */
  readonly message: string;
}

const WORD = /([A-Z])\s*([+-]?(?:\d+\.?\d*|\.\d+))/gy;
/** Letters this reader knows. */
const LETTERS = "FGIJMNPRSTXYZ";

/** A program's lines as words (ISO 6983): comments in round brackets or after a semicolon are passed over, spaces mean nothing. */
export function blocksOf(program: string): readonly Block[] | ProgramFault {
  const blocks: Block[] = [];
  for (const [index, text] of program.split(/\r\n|\n|\r/).entries()) {
    const read = wordsOf(text);
    if (typeof read === "string") return { line: index + 1, message: read };
    if (read.length > 0) blocks.push({ line: index + 1, words: read });
  }
  return blocks;
}

/** The words of a line; or what is wrong with it. */
function wordsOf(text: string): readonly Word[] | string {
  const bare = withoutComments(text);
  if (bare === null) return "a comment is begun and not ended; close it with a round bracket";
  const line = bare.trim().replace(/^\//, "").toUpperCase();
  if (line === "" || line === "%") return [];
  const words: Word[] = [];
  for (let at = 0; at < line.length;) {
    if (/\s/.test(line[at] ?? "")) {
      at += 1;
      continue;
    }
    WORD.lastIndex = at;
    const [whole, letter, number] = WORD.exec(line) ?? [];
    if (whole === undefined || letter === undefined || number === undefined) return unreadable(line.slice(at));
    if (!LETTERS.includes(letter)) return `this cutter does not know the word ${letter}`;
    words.push({ letter, value: Number(number) });
    at += whole.length;
  }
  return doubled(words) ?? words.filter(({ letter }) => letter !== "N");
}

function unreadable(rest: string): string {
  const [letter = ""] = rest;
  return /[A-Z]/.test(letter)
    ? `the word ${letter} has no number that can be read`
    : `“${rest.slice(0, 12)}” cannot be read as a letter with a number`;
}

/** Only G and M may stand more than once on a line. */
function doubled(words: readonly Word[]): string | null {
  const letters = words.map(({ letter }) => letter).filter((letter) => letter !== "G" && letter !== "M");
  const twice = letters.find((letter, index) => letters.indexOf(letter) !== index);
  return twice === undefined ? null : `the word ${twice} stands twice on one line`;
}

function withoutComments(text: string): string | null {
  let bare = "";
  for (let at = 0; at < text.length; at++) {
    const sign = text[at] ?? "";
    if (sign === ";") break;
    if (sign !== "(") {
      bare += sign;
      continue;
    }
    const end = text.indexOf(")", at);
    if (end < 0) return null;
    at = end;
  }
  return bare;
}
