/**
 * Where needle points stand along a row of a length, between its ends: a stitch apart; `phase` (0…1) says where the first
 * stands, by the share of a stitch. None is nearer to an end than the shortest stitch. Millimetres from where it begins.
 */
export function rowPlaces(length: number, stitch: number, phase: number, shortest: number): number[] {
  const places: number[] = [];
  if (length <= stitch) return places;
  const least = Math.max(shortest, stitch / 8);
  const longest = stitch * 1.0001;
  let last = 0;
  // What is left out at an end would leave a stitch too long there: it is halved.
  const put = (place: number) => {
    if (place - last > longest) places.push((last + place) / 2);
    last = place;
  };
  for (let at = stitch * (phase - Math.floor(phase)); at < length - least; at += stitch) {
    if (at < least) continue;
    put(at);
    places.push(at);
  }
  put(length);
  return places;
}
