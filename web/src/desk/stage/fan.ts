import { createContext, useContext, useEffect, useId, useState, useSyncExternalStore } from "react";
import type { Point } from "@twin-petal/core";

/** Handles nearer than this lie on each other, pixels. */
const NEAR = 13;
/** How far one that lies on another is set aside, and by what angle the next one further round. */
const ASIDE = 28;
const FIRST = Math.PI / 4;
const TURN = Math.PI / 3;
const NOWHERE: Point = { x: 0, y: 0 };

/** The handles that are shown, in the order they came, and which of them lie on one that came before. */
export class Fan {
  private readonly places = new Map<string, Point>();
  private readonly asides = new Map<string, Point>();
  private readonly listeners = new Set<() => void>();

  /** Says where a handle is; null when it is gone. Pixels. */
  put(id: string, place: Point | null): void {
    if (place) this.places.set(id, place);
    else this.places.delete(id);
    if (this.spread()) for (const tell of this.listeners) tell();
  }

  /** How far a handle is set aside. */
  asideOf(id: string): Point {
    return this.asides.get(id) ?? NOWHERE;
  }

  readonly watch = (tell: () => void): (() => void) => {
    this.listeners.add(tell);
    return () => this.listeners.delete(tell);
  };

  /** Sets aside what lies on something earlier; tells whether anything changed. */
  private spread(): boolean {
    const before = JSON.stringify([...this.asides]);
    this.asides.clear();
    const seen: Point[] = [];
    for (const [id, place] of this.places) {
      const below = seen.filter(({ x, y }) => Math.hypot(place.x - x, place.y - y) < NEAR).length;
      seen.push(place);
      if (below === 0) continue;
      const angle = FIRST + TURN * (below - 1);
      this.asides.set(id, { x: Math.round(ASIDE * Math.cos(angle)), y: Math.round(ASIDE * Math.sin(angle)) });
    }
    return JSON.stringify([...this.asides]) !== before;
  }
}

const FanContext = createContext<Fan | null>(null);
export const FanProvider = FanContext.Provider;

/** How far a handle stands aside, so that none lies on another; one that is held stays where it is. */
export function useAside(place: Point | null, isHeld: boolean): Point {
  const fan = useContext(FanContext);
  const id = useId();
  const [x, y] = [place && Math.round(place.x), place && Math.round(place.y)];
  useEffect(() => {
    if (isHeld) return;
    fan?.put(id, x === null || y === null ? null : { x, y });
  }, [fan, id, x, y, isHeld]);
  useEffect(() => () => fan?.put(id, null), [fan, id]);
  const aside = useSyncExternalStore(fan?.watch ?? never, () => fan?.asideOf(id) ?? NOWHERE);
  const [kept, setKept] = useState(aside);
  if (!isHeld && kept !== aside) setKept(aside);
  return isHeld ? kept : aside;
}

const never = () => () => undefined;
