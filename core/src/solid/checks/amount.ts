import { defineCheck } from "./definition";

/** How much it is: its volume, its surface, and what it weighs all filled. */
export const amount = defineCheck({
  kind: "amount",
  check({ pieces, making: { density } }) {
    const sum = (of: "volume" | "area") => pieces.reduce((all, piece) => all + piece[of], 0);
    const volume = sum("volume");
    // Grams a cubic centimetre, of cubic millimetres.
    return {
      state: "passed",
      figures: { volume, area: sum("area"), mass: (volume / 1000) * density },
      places: [],
    };
  },
});
