import { expect, test } from "@jest/globals";
import { movedCursor, type NodeCursor } from "@/desk/stage/nodes/nodeCursor";

const key = (key: string, more: object = {}) => ({ key, code: "", shiftKey: false, altKey: false, ...more });
const state = (at: number | null, chosen: readonly number[]): NodeCursor => ({ at, chosen: new Set(chosen) });

test("full stop and comma go from node to node and round, choosing the one they reach", () => {
  expect(movedCursor(state(null, []), key("."), 4)).toEqual(state(0, [0]));
  expect(movedCursor(state(3, [3]), key("."), 4)).toEqual(state(0, [0]));
  expect(movedCursor(state(null, [2]), key(","), 4)).toEqual(state(1, [1]));
  expect(movedCursor(state(0, [0]), key("x"), 4)).toBeNull();
  expect(movedCursor(state(null, []), key("."), 0)).toBeNull();
});

test("with Shift the next one is chosen as well, whatever the keyboard writes there", () => {
  const shifted = key(":", { code: "Period", shiftKey: true });
  expect(movedCursor(state(1, [1]), shifted, 4)).toEqual(state(2, [1, 2]));
});

test("with Alt nothing changes until space chooses the node that is reached, or lets go of it", () => {
  const past = key("…", { code: "Period", altKey: true });
  const reached = movedCursor(movedCursor(state(0, [0]), past, 5) ?? state(0, []), past, 5);
  expect(reached).toEqual(state(2, [0]));
  const chosen = reached && movedCursor(reached, key(" "), 5);
  expect(chosen).toEqual(state(2, [0, 2]));
  expect(chosen && movedCursor(chosen, key(" "), 5)).toEqual(state(2, [0]));
  expect(movedCursor(state(null, [0]), key(" "), 5)).toBeNull();
});
