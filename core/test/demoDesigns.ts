import { readdirSync, readFileSync } from "node:fs";
import { parseDesign } from "../src";

/** Every design that ships. */
export const DEMO = readdirSync("demo")
  .filter((name) => name.endsWith(".petal.json"))
  .map((name) => {
    const { design } = parseDesign(readFileSync(`demo/${name}`, "utf8"));
    if (!design) throw new Error(name);
    return design;
  });
