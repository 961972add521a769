import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { isMade, membersOfGroups, readDesign, toFile, type Design } from "@twin-petal/core";
import { stripRows } from "@/desk/strips/stripRows";
import { applyEdit } from "@/store/edit";
import { groupOf, groupParts, renameGroup, repeatGroup, ungroup } from "@/store/edits/groups";
import { limitBy, setJoin } from "@/store/edits/join";
import { partEdit, removePart } from "@/store/edits/parts";
import { duplicateSeveral, removeSeveral } from "@/store/edits/several";

const IDS = ["a", "b", "c", "d", "e"];

function fiveParts(): Design {
  const parts = IDS.map((id) => ({ id, motif: { kind: "disc" } }));
  const { design, problems } = readDesign({ format: "twin-petal/1", parts });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

function grouped(design: Design, ids: readonly string[]): Design {
  const next = applyEdit(design, groupParts(design, ids).edit);
  expect(readDesign(toFile(next)).problems).toEqual([]);
  return next;
}

const order = ({ parts }: Design) => parts.map(({ id }) => id).join("");
const rowsOf = (design: Design) =>
  stripRows(design).map((row) => "  ".repeat(row.depth) + (row.kind === "part" ? row.part.id : row.group.name));

describe("groups on the desk", () => {
  test("grouped parts lie together below the topmost of them; groups stay groups within", () => {
    const inner = grouped(fiveParts(), ["a", "c"]);
    expect(order(inner)).toBe("bacde");
    const outer = grouped(inner, ["a", "c", "e"]);
    expect(order(outer)).toBe("bdace");
    expect(rowsOf(outer)).toEqual(["Group 2", "  e", "  Group", "    c", "    a", "d", "b"]);
    expect(groupOf(outer, ["e", "a", "c"])?.name).toBe("Group 2");
    expect(groupOf(outer, ["c", "a"])?.name).toBe("Group");
    expect(groupOf(outer, ["c", "e"])).toBeNull();
    // Parts of one group are grouped within it.
    const within = grouped(outer, ["e", "c"]);
    expect(rowsOf(within)).toEqual(["Group 2", "  Group 3", "    e", "    c", "  Group", "    a", "d", "b"]);
  });

  test("a group is renamed, ungrouped and repeated whole", () => {
    const design = grouped(grouped(fiveParts(), ["a", "b"]), ["a", "b", "c"]);
    const group = groupOf(design, ["a", "b", "c"]);
    if (!group) throw new Error("no group");
    expect(applyEdit(design, renameGroup(group, "Bouquet")).groups.map(({ name }) => name)).toEqual([
      "Group",
      "Bouquet",
    ]);
    const repeated = repeatGroup(design, group);
    const whole = applyEdit(design, repeated.edit);
    expect(order(whole)).toBe(`abc${repeated.id}de`);
    expect(whole.parts.find(({ id }) => id === repeated.id)?.motif).toEqual({ kind: "part", part: group.id });
    expect(whole.groups.find(({ id }) => id === group.id)?.role).toBe("tool");
    const alone = applyEdit(whole, ungroup(group));
    expect(rowsOf(alone)).toEqual(["e", "d", repeated.id, "c", "Group", "  b", "  a"]);
    expect(alone.parts.find(({ id }) => id === repeated.id)?.motif.part).toBeUndefined();
    expect(readDesign(toFile(alone)).problems).toEqual([]);
  });

  test("a doubled group is a group of its own; one that loses its parts is gone", () => {
    const design = grouped(grouped(fiveParts(), ["a", "b"]), ["a", "b", "c"]);
    const copies = duplicateSeveral(design, ["a", "b", "c"]);
    const doubled = applyEdit(design, copies.edit);
    expect(readDesign(toFile(doubled)).problems).toEqual([]);
    expect(groupOf(doubled, copies.ids)?.name).toBe("Group 2, a copy");
    expect(groupOf(doubled, ["a", "b", "c"])?.name).toBe("Group 2");
    expect(rowsOf(doubled).filter((row) => row.includes("Group"))).toHaveLength(4);
    // A copy of one part stays where that one is.
    const one = applyEdit(design, duplicateSeveral(design, ["c"]).edit);
    expect(membersOfGroups(one).get("group-2")).toHaveLength(4);
    const [a, b] = design.parts;
    if (!a || !b) throw new Error("no parts");
    const less = applyEdit(applyEdit(design, removePart(design, a)), removePart(design, b));
    expect(less.groups.map(({ id }) => id)).toEqual(["group-2"]);
    expect(applyEdit(design, removeSeveral(["a", "b", "c"])).groups).toEqual([]);
  });

  test("whatever is grouped, doubled, ungrouped and removed, no part is lost and the design is valid", () => {
    const step = fc.record({
      what: fc.constantFrom("group", "ungroup", "double", "remove"),
      which: fc.array(fc.nat(30), { minLength: 1, maxLength: 4 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 8 }), (steps) => {
        let design = fiveParts();
        for (const { what, which } of steps) {
          const ids = [
            ...new Set(which.flatMap((at) => design.parts[at % Math.max(1, design.parts.length)]?.id ?? [])),
          ];
          const group = design.groups[(which[0] ?? 0) % Math.max(1, design.groups.length)];
          const before = design.parts.length;
          if (what === "group" && ids.length > 0) {
            design = applyEdit(design, groupParts(design, ids).edit);
            expect(design.parts).toHaveLength(before);
            expect(groupOf(design, ids)).not.toBeNull();
          } else if (what === "ungroup" && group) {
            design = applyEdit(design, ungroup(group));
            expect(design.parts).toHaveLength(before);
          } else if (what === "double") {
            design = applyEdit(design, duplicateSeveral(design, ids).edit);
            expect(design.parts).toHaveLength(before + ids.length);
          } else if (what === "remove") {
            design = applyEdit(design, removeSeveral(ids));
          }
          expect(readDesign(toFile(design)).problems).toEqual([]);
          for (const [, members] of membersOfGroups(design)) expect(members.length).toBeGreaterThan(0);
        }
      }),
    );
  });

  test("what was only a tool is shown and made again when nothing follows it any more, in one step with what took that away", () => {
    const design = grouped(fiveParts(), ["a", "b"]);
    const group = groupOf(design, ["a", "b"]);
    if (!group) throw new Error("no group");
    const first = repeatGroup(design, group);
    const once = applyEdit(design, first.edit);
    const second = repeatGroup(once, group);
    const twice = applyEdit(once, second.edit);
    const partOf = ({ parts }: Design, id: string) => {
      const found = parts.find((part) => part.id === id);
      if (!found) throw new Error(`no ${id}`);
      return found;
    };
    const roleOf = ({ groups }: Design) => groups.map(({ role }) => role);
    const left = applyEdit(twice, removePart(twice, partOf(twice, first.id)));
    expect(roleOf(left)).toEqual(["tool"]);
    const none = applyEdit(left, removePart(left, partOf(left, second.id)));
    expect(roleOf(none)).toEqual(["show"]);
    expect(none.parts.every((part) => isMade(none, part))).toBe(true);
    // A part that only cuts is one too; one that nothing ever followed stays what it was made.
    const cut = applyEdit(design, limitBy("c", "d", { cutBy: ["d"] }, "cut it"));
    expect(partOf(cut, "d").role).toBe("tool");
    expect(partOf(applyEdit(cut, setJoin("c", { cutBy: [] }, "let it be")), "d").role).toBe("show");
    const own = applyEdit(
      cut,
      partEdit("e", "make it a tool", (part) => void (part.role = "tool")),
    );
    expect(partOf(applyEdit(own, removePart(own, partOf(own, "c"))), "e").role).toBe("tool");
  });
});
