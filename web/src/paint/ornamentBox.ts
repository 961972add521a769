import { boxOfGeometry, EMPTY_BOX, isEmpty, joinBoxes, type Box, type Scene } from "@twin-petal/core";

/** Room around the ornament, so that neighbours may be a little larger. */
const ROOM = 1.15;
/** A part smaller than this share of the ornament is shown by itself, with so much around it. */
const SMALL = 0.4;
const ROOM_AROUND_PART = 1.6;
/** What is shown is no less than this share of the sheet. */
const LEAST = 1 / 3;
const LEAST_OF_PART = 1 / 20;

/**
 * The part of the sheet a small picture shows: what the ornament covers, with some room; where the choice is about a part that is
 * much smaller than the whole, what that part covers.
 */
export function ornamentBox({ parts, sheet }: Scene, about: string | null): Box {
  const [x, y] = [sheet.width / 2, sheet.height / 2];
  const shown = parts.filter(({ visible, role }) => visible && role === "show");
  const whole = shown.reduce((box, { geometry }) => joinBoxes(box, boxOfGeometry(geometry)), EMPTY_BOX);
  const part = shown.find(({ id }) => id === about);
  const own = part ? boxOfGeometry(part.geometry) : EMPTY_BOX;
  const isSmall = !isEmpty(own) && !isEmpty(whole) && sideOf(own) < SMALL * sideOf(whole);
  const box = isSmall ? own : whole;
  if (isEmpty(box)) return sheetBox(sheet);
  const [room, share] = isSmall ? [ROOM_AROUND_PART, LEAST_OF_PART] : [ROOM, LEAST];
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const least = Math.min(x, y) * share;
  const across = Math.max(least, ((box.right - box.left) / 2) * room);
  const down = Math.max(least, ((box.bottom - box.top) / 2) * room);
  return {
    left: Math.max(-x, middle.x - across),
    right: Math.min(x, middle.x + across),
    top: Math.max(-y, middle.y - down),
    bottom: Math.min(y, middle.y + down),
  };
}

function sideOf({ left, top, right, bottom }: Box): number {
  return Math.max(right - left, bottom - top);
}

/** The sheet about its middle, millimetres. */
export function sheetBox({ width, height }: Scene["sheet"]): Box {
  return { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
}
