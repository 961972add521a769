import { generate, parse, walk, type Rule, type Selector } from "css-tree";
import type { XmlElement } from "./xmlTree";

/** One rule of a stylesheet in the file: which elements it is for, and what it says. */
interface StyleRule {
  readonly names: readonly string[];
  readonly classes: readonly string[];
  readonly ids: readonly string[];
  readonly weight: number;
  readonly declarations: ReadonlyMap<string, string>;
}

/** The rules of a picture's style sheets, and what of them cannot be read. */
export interface Stylesheet {
  /** What the rules say about an element, the stronger rule winning. */
  declarationsFor: (element: XmlElement) => ReadonlyMap<string, string>;
  /** Selectors that are more than a name, classes and an id; they were left out. */
  readonly leftOut: readonly string[];
}

/** Reads the `<style>` elements of a file. */
export function readStylesheet(texts: readonly string[]): Stylesheet {
  const rules: StyleRule[] = [];
  const leftOut: string[] = [];
  for (const text of texts) {
    walk(parse(text, { parseValue: false, onParseError: () => undefined }), {
      visit: "Rule",
      enter: (rule) => addRule(rule, rules, leftOut),
    });
  }
  const ordered = rules
    .map((rule, order) => ({ rule, order }))
    .sort((a, b) => a.rule.weight - b.rule.weight || a.order - b.order);
  return {
    leftOut,
    declarationsFor(element) {
      const found = new Map<string, string>();
      for (const { rule } of ordered) {
        if (!matches(rule, element)) continue;
        for (const [property, value] of rule.declarations) found.set(property, value);
      }
      return found;
    },
  };
}

function addRule(rule: Rule, rules: StyleRule[], leftOut: string[]): void {
  const declarations = new Map<string, string>();
  walk(rule.block, {
    visit: "Declaration",
    enter: ({ property, value }) => void declarations.set(property, generate(value).trim()),
  });
  walk(rule.prelude, {
    visit: "Selector",
    enter(selector) {
      const read = readSelector(selector);
      if (read) rules.push({ ...read, declarations });
      else leftOut.push(generate(selector));
    },
  });
}

function readSelector(selector: Selector): Omit<StyleRule, "declarations"> | null {
  const [names, classes, ids]: [string[], string[], string[]] = [[], [], []];
  for (const piece of selector.children) {
    if (piece.type === "TypeSelector") names.push(piece.name);
    else if (piece.type === "ClassSelector") classes.push(piece.name);
    else if (piece.type === "IdSelector") ids.push(piece.name);
    else return null;
  }
  return { names, classes, ids, weight: ids.length * 10_000 + classes.length * 100 + names.length };
}

function matches({ names, classes, ids }: StyleRule, { name, attributes }: XmlElement): boolean {
  const own = (attributes.get("class") ?? "").split(/\s+/);
  return (
    names.every((known) => known === "*" || known === name) &&
    classes.every((known) => own.includes(known)) &&
    ids.every((known) => known === attributes.get("id"))
  );
}

/** Declarations of a `style` attribute. */
export function inlineDeclarations(text: string | undefined): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  if (text === undefined) return found;
  walk(parse(text, { context: "declarationList", parseValue: false, onParseError: () => undefined }), {
    visit: "Declaration",
    enter: ({ property, value }) => void found.set(property, generate(value).trim()),
  });
  return found;
}
