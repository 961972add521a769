import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { MOTIFS } from "../core/src/motif/list";
import { RULES } from "../core/src/rules/list";
import { inRepository } from "../server/src/settings";

/** Designs that attacks change: those that are shipped, and one of every motif and every rule. */
export function seedDesigns(): object[] {
  const shipped = ["demo", "starters"].flatMap((folder) => {
    const path = inRepository(folder);
    const names = readdirSync(path).filter((name) => name.endsWith(".petal.json"));
    return names.map((name) => {
      const design: unknown = JSON.parse(readFileSync(join(path, name), "utf8"));
      if (typeof design !== "object" || design === null) throw new Error(`${name} is no design`);
      return design;
    });
  });
  const motifs = MOTIFS.map(({ kind }) => designOf({ kind }, []));
  const rules = RULES.map(({ kind, first }) =>
    designOf({ kind: "petal", length: 30, width: 10 }, [{ kind, ...first }]),
  );
  return [...shipped, ...motifs, ...rules];
}

function designOf(motif: object, rules: readonly object[]): object {
  const disc = { id: "disc", motif: { kind: "disc", radius: 30 } };
  return {
    format: "twin-petal/1",
    parts: [disc, { id: "a", motif, rules, join: { cutBy: [] }, finish: { fill: "#224466" } }],
  };
}
