import { readFileSync } from "node:fs";
import { expect, test } from "@jest/globals";
import * as most from "../src/fields/most";

test("the page of limits tells every one with its value, and no other", () => {
  const rows = [...readFileSync("docs/limits.md", "utf8").matchAll(/^\| `(\w+)` +\| .+ \| +([\d,]+) +\|$/gm)];
  const told = Object.fromEntries(rows.map(([, name = "", value = ""]) => [name, Number(value.replaceAll(",", ""))]));
  expect(told).toEqual({ ...most });
});
