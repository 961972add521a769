import Flatbush from "flatbush";
import { boxOfPath, type Path } from "../path";
import { MeetingChords } from "./meetingChords";

/**
 * Whether runs at the standard size bound their area already: none meets itself or another, and those around an even number
 * of others run clockwise, the rest the other way. False where it cannot be told at once.
 */
export function isTidy(path: Path): boolean {
  const chords = new MeetingChords(path);
  return chords.areWhole && !chords.meetSomewhere() && runInTurn(path, chords);
}

/** Whether runs that do not meet go clockwise and the other way in turn, from without inwards. */
function runInTurn(path: Path, chords: MeetingChords): boolean {
  if (path.length === 0) return true;
  const index = new Flatbush(path.length);
  for (const run of path) {
    const { left, top, right, bottom } = boxOfPath([run]);
    index.add(left, top, right, bottom);
  }
  index.finish();
  return path.every((run, own) => {
    const [x = 0, y = 0] = run.coordinates;
    const around = index.search(x, y, x, y, (other) => other !== own && chords.holds(other, own));
    return chords.isClockwise(own) === (around.length % 2 === 0);
  });
}
