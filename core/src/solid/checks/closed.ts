import { middlesOfEdges, openEdges } from "../meshEdges";
import { defineCheck, MOST_PLACES } from "./definition";

/** Whether every edge has a face on either side. */
export const closed = defineCheck({
  kind: "closed",
  check({ whole }) {
    const open = openEdges(whole);
    return {
      state: open.length === 0 ? "passed" : "failed",
      figures: { open: open.length / 2 },
      places: middlesOfEdges(open, whole, MOST_PLACES),
    };
  },
});
