import { middlesOfEdges, touchingEdges } from "../meshEdges";
import { defineCheck, MOST_PLACES } from "./definition";

/** Whether bodies only touch along an edge: nothing holds them together there, and a maker's machine may take them for either. */
export const touching = defineCheck({
  kind: "touching",
  check({ whole }) {
    const edges = touchingEdges(whole);
    return {
      state: edges.length === 0 ? "passed" : "doubtful",
      figures: { edges: edges.length / 2 },
      places: middlesOfEdges(edges, whole, MOST_PLACES),
    };
  },
});
