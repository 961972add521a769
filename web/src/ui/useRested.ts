import { useEffect, useState } from "react";

/** A value as it was when it last stayed the same for so long, milliseconds: for work that can wait until the hand rests. */
export function useRested<T>(value: T, rest: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = window.setTimeout(() => setRested(value), rest);
    return () => window.clearTimeout(timer);
  }, [value, rest]);
  return rested;
}
