import { FormulaError } from "./formulaError";

/** What a piece of a formula is. */
type TokenKind = "number" | "name" | "sign" | "end";

/** A piece of a formula and where in its text it stands. */
export interface Token {
  /** What sort of word it is. */
  readonly kind: TokenKind;
  /** As it is written. */
  readonly text: string;
  /** Where the token starts in the formula, counted in UTF-16 units. */
  readonly at: number;
}

const TOKEN = /\s*(?:((?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)|([A-Za-z_][A-Za-z0-9_]*)|([-+*/^(),×÷·−]))/y;

/** Typographic signs a person may type or paste, and the plain sign each stands for. */
const PLAIN_SIGN: ReadonlyMap<string, string> = new Map([
  ["×", "*"],
  ["·", "*"],
  ["÷", "/"],
  ["−", "-"],
]);

/** Splits a formula into tokens. Throws a FormulaError at the first character that belongs to none. */
export function tokenise(formula: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (formula.slice(at).trim() !== "") {
    TOKEN.lastIndex = at;
    const match = TOKEN.exec(formula);
    if (!match) throw new FormulaError(`“${formula.slice(at).trim().charAt(0)}” does not belong in a formula`);
    const [whole, number, name, sign] = match;
    const text = number ?? name ?? sign ?? "";
    const kind = number !== undefined ? "number" : name !== undefined ? "name" : "sign";
    tokens.push({ kind, text: PLAIN_SIGN.get(text) ?? text, at: at + whole.length - text.length });
    at += whole.length;
  }
  tokens.push({ kind: "end", text: "", at: formula.length });
  return tokens;
}
