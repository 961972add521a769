/** The entry at a place that is there; throws where it is not, which would be a fault of the program. */
export function at<T>(list: ArrayLike<T>, index: number): T {
  const entry = list[index];
  if (entry === undefined) throw new Error(`place ${index} of ${list.length} was asked for`);
  return entry;
}
