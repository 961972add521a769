import { coarseness } from "./stepping";

const ARROWS: Readonly<Record<string, { readonly x: number; readonly y: number }>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

interface Key {
  readonly key: string;
  readonly shiftKey: boolean;
  readonly altKey: boolean;
}

/** How an arrow key moves something, in steps of so much (ten with Shift, a tenth with Alt); null for other keys. */
export function arrowMove(event: Key, step: number): { x: number; y: number } | null {
  const arrow = ARROWS[event.key];
  if (!arrow) return null;
  const by = step * coarseness(event).times;
  return { x: arrow.x * by, y: arrow.y * by };
}
