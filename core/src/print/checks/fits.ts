import { definePrintCheck } from "./definition";

/** Whether what is asked for fits the printed part of the page. */
export const fits = definePrintCheck({
  kind: "fits",
  check: ({ layout: { beyond, pages, across, down } }) => ({
    state: beyond > 1e-6 ? "failed" : "passed",
    figures: { beyond, pages: pages.length, across, down },
    places: [],
  }),
});
