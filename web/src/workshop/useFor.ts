import { useCallback, useState } from "react";

/** A value that holds for one thing only: for another it is as at first again. */
export function useFor<T>(of: unknown, first: T): [T, (value: T) => void] {
  const [state, setState] = useState({ of, value: first });
  const set = useCallback((value: T) => setState({ of, value }), [of]);
  return [state.of === of ? state.value : first, set];
}
