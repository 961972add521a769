import { expect, test } from "@jest/globals";
import { whenWords } from "@/ui/whenWords";

test("minutes within the hour, then the time, then the day", () => {
  const now = new Date(2026, 10, 27, 14, 30, 0).getTime();
  const ago = (minutes: number) => whenWords(now - minutes * 60_000, now);
  expect([ago(0.5), ago(1), ago(59)]).toEqual(["just now", "1 minute ago", "59 minutes ago"]);
  expect([ago(61), ago(14 * 60), ago(15 * 60)]).toEqual(["13:29", "00:30", "yesterday, 23:30"]);
  expect(ago(60 * 50)).toBe("2026-11-25, 12:30");
  // At the turn of a year.
  expect(whenWords(new Date(2025, 11, 31, 9, 5).getTime(), new Date(2026, 0, 1, 10, 0).getTime())).toBe(
    "yesterday, 09:05",
  );
});
