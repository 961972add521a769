/** A number in as few characters as say it to a number of decimals; never in powers of ten, never −0. */
export function decimals(value: number, places: number): string {
  const text = value.toFixed(places);
  const short = text.includes(".") ? text.replace(/\.?0+$/, "") : text;
  return short === "-0" ? "0" : short;
}
