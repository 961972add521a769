import { MeetingChords } from "./boolean/meetingChords";
import type { Path } from "./path";
import { standardSizeOf } from "./standardSize";

/** Whether an outline is one closed run that nowhere meets itself. */
export function isSimple(path: Path): boolean {
  const size = standardSizeOf([path]);
  if (!size || path.length !== 1) return false;
  const chords = new MeetingChords(size.to(path));
  return chords.areWhole && !chords.meetSomewhere();
}
