/** A length in millimetres, as short as can be. */
export const mm = (length: number | undefined): string => `${Number((length ?? 0).toFixed(2))} mm`;

/** A number as short as can be. */
export const figure = (value: number | undefined, places = 1): string =>
  Number((value ?? 0).toFixed(places)).toLocaleString("en");

/** “1 piece”, “3 pieces”. */
export const counted = (count: number | undefined, one: string, many = `${one}s`): string =>
  `${(count ?? 0).toLocaleString("en")} ${count === 1 ? one : many}`;
