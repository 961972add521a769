import { nameTrouble } from "../formula/numbers";
import { COPY_NAMES } from "../rules/copyNames";
import { DESIGN, type Design } from "./design";

/** Words that say something in a design file, or of a copy in a formula. */
const WORDS: ReadonlySet<string> = new Set([...DESIGN.words(), ...COPY_NAMES]);

/** Why a number should not newly be called so, or null when it may: designs that have such names still open. */
export function newNameTrouble(name: string, { numbers }: Pick<Design, "numbers">): string | null {
  if (numbers.some((known) => known.name === name)) return `there is a number called “${name}” already`;
  const copyName = COPY_NAMES.some((known) => known === name);
  if (copyName) return `“${name}” is what a copy knows of itself in “vary”; choose another name`;
  return nameTrouble(name);
}

/** A name for a new number, made of words that say what it is: free, and no word of the format. */
export function freshNumberName(design: Pick<Design, "numbers">, label: string): string {
  const base = nameOfWords(label);
  const stem = WORDS.has(base) ? `${base}Value` : base;
  for (let number = 1; ; number++) {
    const name = number === 1 ? stem : `${stem}${number}`;
    if (!WORDS.has(name) && newNameTrouble(name, design) === null) return name;
  }
}

/** Words as one name: "inner radius" is innerRadius. */
function nameOfWords(label: string): string {
  const [first = "size", ...rest] = label.split(/[^A-Za-z0-9]+/).filter(Boolean);
  const name = [first.toLowerCase(), ...rest.map((word) => word.charAt(0).toUpperCase() + word.slice(1))].join("");
  return /^[A-Za-z]/.test(name) ? name.slice(0, 30) : "size";
}
