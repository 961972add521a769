/** Something wrong with a design, for the person who made it. */
export interface Problem {
  /** Where in the file: `parts[2].rules[0].count`; empty for the file as a whole. */
  readonly path: string;
  /** What is wrong and what would be right, in words. */
  readonly message: string;
}

/** Something wrong between fields that are each right by themselves; the path is the field's name. */
export interface Conflict extends Problem {
  /** A value of the field with which all is right; left out where there is none to choose. */
  readonly mend?: number;
}

/** The problem on one line, as the command line prints it. */
export function problemLine({ path, message }: Problem): string {
  return path === "" ? message : `${path}: ${message}`;
}
