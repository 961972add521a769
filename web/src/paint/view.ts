import type { Box, Matrix, Point } from "@twin-petal/core";

/** What of the sheet is seen: the sheet's point in the middle of the screen, and how large it shows. */
export interface View {
  /** Millimetres on the sheet. */
  readonly x: number;
  readonly y: number;
  /** Screen pixels a millimetre. */
  readonly scale: number;
}

/** The screen's size in CSS pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

const LEAST_SCALE = 0.005;
const GREATEST_SCALE = 4_000;

export function toScreen({ x, y, scale }: View, { width, height }: Size, point: Point): Point {
  return { x: (point.x - x) * scale + width / 2, y: (point.y - y) * scale + height / 2 };
}

export function toSheet({ x, y, scale }: View, { width, height }: Size, point: Point): Point {
  return { x: (point.x - width / 2) / scale + x, y: (point.y - height / 2) / scale + y };
}

/** From the sheet's millimetres to the screen's pixels. */
export function viewMatrix({ x, y, scale }: View, { width, height }: Size): Matrix {
  return [scale, 0, 0, scale, width / 2 - x * scale, height / 2 - y * scale];
}

/** The view moved by screen pixels: what was under the hand stays under it. */
export function panned(view: View, dx: number, dy: number): View {
  return { ...view, x: view.x - dx / view.scale, y: view.y - dy / view.scale };
}

/** The view enlarged by a factor about a point of the screen, which stays where it is. */
export function zoomed(view: View, size: Size, factor: number, at: Point): View {
  const scale = Math.min(GREATEST_SCALE, Math.max(LEAST_SCALE, view.scale * factor));
  const fixed = toSheet(view, size, at);
  return {
    scale,
    x: fixed.x - (at.x - size.width / 2) / scale,
    y: fixed.y - (at.y - size.height / 2) / scale,
  };
}

/** The view that shows a box whole, with room around it in pixels. */
export function fitted({ left, top, right, bottom }: Box, size: Size, room: number): View {
  const across = Math.max(1, size.width - 2 * room) / Math.max(right - left, 1e-6);
  const down = Math.max(1, size.height - 2 * room) / Math.max(bottom - top, 1e-6);
  return { x: (left + right) / 2, y: (top + bottom) / 2, scale: Math.min(across, down) };
}

/** Where the pointer is within an element, CSS pixels from its corner. */
export function placeIn(element: Element | null, { clientX, clientY }: { clientX: number; clientY: number }): Point {
  const box = element?.getBoundingClientRect();
  return { x: clientX - (box?.left ?? 0), y: clientY - (box?.top ?? 0) };
}
