/** A polygon of the result: x, y in cells and the input vertex's number, 0 where edges cross. */
export type Loop = readonly { readonly x: number; readonly y: number; readonly vertex: number }[];
