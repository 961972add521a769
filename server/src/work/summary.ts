import { resolveDesign, type Design } from "@twin-petal/core";

/** What the wall tells about a design. Lengths in millimetres. */
export interface Summary {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly unit: string;
  /** The count of its widest turn or ring; 1 when it has none. */
  readonly folds: number;
  /** Copies the rules ask for; a few of them may fall on others, or off the sheet. */
  readonly copies: number;
}

/** Told from the numbers alone: nothing is drawn for it. */
export function summarise(design: Design): Summary {
  const { sheet, parts } = resolveDesign(design);
  const folds = parts.flatMap(({ rules }) => rules.map(({ prepared }) => prepared.folds));
  const copiesOf = (part: (typeof parts)[number]) =>
    part.rules.reduce((product, { prepared }) => product * prepared.copies, 1);
  return {
    name: design.name,
    width: sheet.width,
    height: sheet.height,
    unit: design.sheet.unit,
    folds: Math.max(1, ...folds),
    copies: parts.reduce((sum, part) => sum + copiesOf(part), 0),
  };
}
