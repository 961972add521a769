import { FormulaError } from "./formulaError";
import { CONSTANTS, FUNCTIONS } from "./functions";
import { tokenise, type Token } from "./tokens";

/** Looks up a named value; undefined when there is none of that name. */
export type Scope = (name: string) => number | undefined;

/** A formula ready to be computed again and again. */
interface CompiledFormula {
  /** The names it needs beside constants and functions, each once, in order of appearance. */
  readonly names: readonly string[];
  /** Its value; throws a FormulaError naming an unknown name or a result that is not finite. */
  evaluate: (scope: Scope) => number;
}

type Closure = (scope: Scope) => number;

/** Binding strength of the signs between two operands; `^` binds tightest, and to the right. */
const STRENGTH: ReadonlyMap<string, number> = new Map([
  ["+", 1],
  ["-", 1],
  ["*", 2],
  ["/", 2],
  ["^", 4],
]);
/** A leading minus binds looser than `^`, so that −2^2 is −4, and tighter than `*`. */
const SIGN_STRENGTH = 3;
const DEEPEST = 64;
/** Characters a formula may have: every sign of a sum lies within the one after it when it is computed. */
const LONGEST = 4_000;

const remembered = new Map<string, CompiledFormula>();
const REMEMBERED_AT_MOST = 2000;

/** Reads a formula once. Throws a FormulaError that says what is wrong with it. */
export function compileFormula(formula: string): CompiledFormula {
  const known = remembered.get(formula);
  if (known) return known;
  if (formula.length > LONGEST) {
    throw new FormulaError(
      `is longer than the ${LONGEST.toLocaleString("en")} characters a formula may have; give parts of it names`,
    );
  }
  const compiled = new Parser(tokenise(formula)).read();
  if (remembered.size >= REMEMBERED_AT_MOST) remembered.clear();
  remembered.set(formula, compiled);
  return compiled;
}

/** A Pratt parser that builds closures; it knows numbers, names, calls and signs, and nothing else. */
class Parser {
  private position = 0;
  private depth = 0;
  private readonly names = new Set<string>();

  constructor(private readonly tokens: readonly Token[]) {}

  read(): CompiledFormula {
    if (this.peek().kind === "end") throw new FormulaError("the formula is empty");
    const value = this.expression(0);
    const rest = this.peek();
    if (rest.kind !== "end") throw new FormulaError(`“${rest.text}” is not expected here`);
    return {
      names: [...this.names],
      evaluate(scope) {
        const result = value(scope);
        if (Number.isFinite(result)) return result;
        throw new FormulaError(
          Number.isNaN(result)
            ? "has no value (a division 0 / 0, or a root of less than 0?)"
            : "is not finite (a division by 0?)",
        );
      },
    };
  }

  private peek(): Token {
    return this.tokens[this.position] ?? { kind: "end", text: "", at: 0 };
  }

  private next(): Token {
    const token = this.peek();
    this.position += 1;
    return token;
  }

  private expression(least: number): Closure {
    if (++this.depth > DEEPEST) throw new FormulaError("the formula is nested too deeply");
    let left = this.operand();
    for (;;) {
      const { kind, text } = this.peek();
      const strength = kind === "sign" ? STRENGTH.get(text) : undefined;
      if (strength === undefined || strength < least) break;
      this.next();
      left = combine(text, left, this.expression(text === "^" ? SIGN_STRENGTH : strength + 1));
    }
    this.depth -= 1;
    return left;
  }

  private operand(): Closure {
    const token = this.next();
    if (token.kind === "number") return constant(Number(token.text));
    if (token.kind === "name") return this.peek().text === "(" ? this.call(token.text) : this.named(token.text);
    if (token.text === "(") {
      const inner = this.expression(0);
      this.expect(")");
      return inner;
    }
    if (token.text === "-" || token.text === "+") {
      const inner = this.expression(SIGN_STRENGTH);
      return token.text === "+" ? inner : (scope) => -inner(scope);
    }
    throw new FormulaError(token.kind === "end" ? "the formula breaks off" : `“${token.text}” is not expected here`);
  }

  private named(name: string): Closure {
    const fixed = CONSTANTS.get(name);
    if (fixed !== undefined) return constant(fixed);
    if (FUNCTIONS.has(name)) throw new FormulaError(`${name} needs its values in brackets, as in ${name}(1)`);
    this.names.add(name);
    return (scope) => {
      const value = scope(name);
      if (value === undefined)
        throw new FormulaError(`there is no number called “${name}”; add it, or use one that is there`);
      return value;
    };
  }

  private call(name: string): Closure {
    const definition = FUNCTIONS.get(name);
    if (!definition) throw new FormulaError(`there is no function called “${name}”`);
    this.expect("(");
    const values: Closure[] = [];
    if (this.peek().text !== ")") {
      do values.push(this.expression(0));
      while (this.accept(","));
    }
    this.expect(")");
    const { least, most, compute } = definition;
    if (values.length < least || values.length > most) {
      const wanted = most === Infinity ? `${least} or more` : String(least);
      throw new FormulaError(`${name} takes ${wanted} values, not ${values.length}`);
    }
    return (scope) => compute(...values.map((value) => value(scope)));
  }

  private accept(text: string): boolean {
    const found = this.peek().text === text;
    if (found) this.next();
    return found;
  }

  private expect(text: string): void {
    if (!this.accept(text)) throw new FormulaError(`a “${text}” is missing`);
  }
}

function constant(value: number): Closure {
  return () => value;
}

function combine(sign: string, left: Closure, right: Closure): Closure {
  switch (sign) {
    case "+":
      return (scope) => left(scope) + right(scope);
    case "-":
      return (scope) => left(scope) - right(scope);
    case "*":
      return (scope) => left(scope) * right(scope);
    case "/":
      return (scope) => left(scope) / right(scope);
    default:
      return (scope) => Math.pow(left(scope), right(scope));
  }
}
