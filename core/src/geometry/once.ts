/** Computes something when it is first asked for, and remembers it. */
export function once<T>(compute: () => T): () => T {
  let known: { readonly value: T } | null = null;
  return () => (known ??= { value: compute() }).value;
}
