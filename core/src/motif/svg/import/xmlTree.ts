import { SaxesParser } from "saxes";
import { ImportRefused } from "./refused";

/** One element of a read file. */
export interface XmlElement {
  /** Its name without a prefix. */
  readonly name: string;
  /** As they are written. */
  readonly attributes: ReadonlyMap<string, string>;
  /** In order. */
  readonly children: XmlElement[];
  /** Text directly in it. */
  text: string;
}

const LARGEST_FILE = 8 * 1024 * 1024;
const MOST_ELEMENTS = 60_000;
const DEEPEST = 100;

/**
 * Reads a file's elements. Refused in words: files too large, too deep or malformed, entities of the file's
 * own, scripts and event handlers. Nothing is run, fetched or expanded.
 */
export function readXml(file: string): XmlElement {
  if (file.length > LARGEST_FILE) throw new ImportRefused("is larger than 8 MB; save it with less detail");
  const parser = new SaxesParser({ xmlns: false });
  const open: XmlElement[] = [];
  let root: XmlElement | null = null;
  let count = 0;
  parser.on("error", (error) => {
    throw new ImportRefused(`is no readable SVG: ${error.message}`);
  });
  parser.on("doctype", (doctype) => {
    if (!/[[\]]|ENTITY/i.test(doctype)) return;
    throw new ImportRefused("declares entities of its own, which are not expanded; save it without them");
  });
  parser.on("opentag", ({ name, attributes }) => {
    const element = elementOf(name, attributes);
    if (++count > MOST_ELEMENTS)
      throw new ImportRefused(`has more than ${MOST_ELEMENTS.toLocaleString("en")} elements`);
    if (open.length >= DEEPEST) throw new ImportRefused(`is nested more than ${DEEPEST} deep`);
    const parent = open.at(-1);
    if (parent) parent.children.push(element);
    else root ??= element;
    open.push(element);
  });
  parser.on("closetag", () => void open.pop());
  const gather = (text: string) => {
    const element = open.at(-1);
    if (element) element.text += text;
  };
  parser.on("text", gather);
  parser.on("cdata", gather);
  parser.write(file.replace(/^\uFEFF/, "")).close();
  if (!root) throw new ImportRefused("is empty");
  return root;
}

function elementOf(qualified: string, attributes: Readonly<Record<string, string>>): XmlElement {
  const name = localName(qualified);
  if (name === "script") throw new ImportRefused("holds a script, and scripts are never run here; save it without");
  const entries = Object.entries(attributes).map(([key, value]): [string, string] => [attributeName(key), value]);
  for (const [key, value] of entries) {
    if (/^on[a-z]+$/i.test(key) || /^\s*(javascript|vbscript)\s*:/i.test(value)) {
      throw new ImportRefused(`holds a script (in ${key} of ${name}), and scripts are never run here; save it without`);
    }
  }
  return { name, attributes: new Map(entries), children: [], text: "" };
}

function localName(qualified: string): string {
  return qualified.slice(qualified.indexOf(":") + 1);
}

/** References are written with and without a prefix; other prefixed attributes keep theirs. */
function attributeName(key: string): string {
  return key === "xlink:href" ? "href" : key;
}
