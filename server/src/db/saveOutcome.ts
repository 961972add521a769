/** How a save ended. */
export type SaveOutcome =
  | { readonly kind: "saved"; readonly revision: number }
  | { readonly kind: "stale"; readonly revision: number }
  | { readonly kind: "missing" };
