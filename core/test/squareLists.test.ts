import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { numbersOf, wholeNumbers } from "../src/geometry/boolean/wholeNumbers";
import { SquareLists } from "../src/geometry/squareLists";
import { members } from "./randomMembers";

function valuesIn(lists: SquareLists, column: number, row: number): number[] {
  const values: number[] = [];
  for (let entry = lists.first(column, row); entry >= 0; entry = lists.next(entry)) values.push(lists.valueOf(entry));
  return values.sort((a, b) => a - b);
}

describe("numbers sorted into squares", () => {
  const whole = fc.integer({ min: -50, max: 50 });

  test("each square gives back what was put into it and nothing else, however many there are", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(whole, whole), { maxLength: 6_000, size: "max" }), (squares) => {
        const lists = new SquareLists();
        const known = new Map<string, number[]>();
        squares.forEach(([column, row], value) => {
          lists.add(column, row, value);
          known.set(`${column} ${row}`, [...(known.get(`${column} ${row}`) ?? []), value]);
        });
        const found = [...known.keys()].map((key) => {
          const [column = 0, row = 0] = key.split(" ").map(Number);
          return valuesIn(lists, column, row);
        });
        expect(found).toEqual([...known.values()]);
        expect(lists.first(51, 0)).toBe(-1);
      }),
      { numRuns: members(20) },
    );
  });

  test("squares far out are told apart", () => {
    const lists = new SquareLists();
    [2 ** 31 - 1, -(2 ** 31), 0].forEach((place, value) => lists.add(place, -place - 1, value));
    expect(valuesIn(lists, 2 ** 31 - 1, -(2 ** 31))).toEqual([0]);
    expect(valuesIn(lists, -(2 ** 31), 2 ** 31 - 1)).toEqual([1]);
    expect(valuesIn(lists, 0, -1)).toEqual([2]);
  });
});

describe("whole numbers for the geometry engine", () => {
  test("are the same as by way of bigints, and come back", () => {
    fc.assert(
      fc.property(fc.array(fc.maxSafeInteger()), (values) => {
        const whole = wholeNumbers(values);
        expect(whole).toEqual(BigInt64Array.from(values.map(BigInt)));
        // −0 and 0 are one whole number.
        expect([...numbersOf(whole)].map((value) => value + 0)).toEqual(values.map((value) => value + 0));
      }),
    );
  });

  test("of a part of a larger block, only the part is read", () => {
    const block = wholeNumbers([1, -2, 3, 2 ** 40, -(2 ** 40) - 1]);
    expect([...numbersOf(block.subarray(1, 4))]).toEqual([-2, 3, 2 ** 40]);
  });
});
