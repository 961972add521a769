import { defineCutCheck } from "./definition";

/** Whether everything that is cut through bounds a piece. */
export const open = defineCutCheck({
  kind: "open",
  check: ({ open: places }) => ({
    state: places.length > 0 ? "doubtful" : "passed",
    figures: { count: places.length },
    places,
  }),
});
