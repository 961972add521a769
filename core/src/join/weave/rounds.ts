import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { areaOfPath } from "../../geometry/path";
import type { Meeting } from "./meeting";
import type { Round } from "./settle";
import type { Strand } from "./strands";
import { bandOf, overlap, type BandEnds, type Stretch } from "./stretch";

/** Common areas up to this hide nothing, square millimetres. */
const LEAST_AREA = 1e-4;

/** What three bands may have in common without that a hole is seen: no more than what the gap (millimetres) leaves open elsewhere. */
export function unseenArea(gap: number): number {
  return Math.max(LEAST_AREA, gap * gap);
}

interface Side {
  readonly meeting: number;
  readonly side: 0 | 1;
  readonly stretch: Stretch;
}

/** All threes of meetings that may go round: three stretches, each two of which meet. */
export function roundsOf(
  meetings: readonly Meeting[],
  strands: readonly Strand[],
  ends: BandEnds,
  gap: number,
): Round[] {
  const sides = new Map<number, Side[]>();
  meetings.forEach(({ stretches }, meeting) => {
    for (const side of [0, 1] as const) {
      const stretch = stretches[side];
      sides.set(stretch.strand, [...(sides.get(stretch.strand) ?? []), { meeting, side, stretch }]);
    }
  });
  const touching = ({ strand }: Stretch, stretch: Stretch) =>
    (sides.get(strand) ?? []).filter((other) => overlap(stretch, other.stretch, at(strands, strand).length));
  const otherOf = ({ meeting, side }: Side) => at(meetings, meeting).stretches[side === 0 ? 1 : 0];
  return meetings.flatMap(({ stretches: [p, r] }, first) => {
    const onP = touching(p, p).filter(({ meeting }) => meeting > first);
    const onR = touching(r, r).filter(({ meeting }) => meeting > first);
    return onP.flatMap((second) =>
      onR.flatMap((third): Round[] => {
        const [q, same] = [otherOf(second), otherOf(third)];
        if (third.meeting === second.meeting || q.strand !== same.strand) return [];
        if (!overlap(q, same, at(strands, q.strand).length)) return [];
        // P over R, R over Q, Q over P.
        return [
          {
            crossings: [first, second.meeting, third.meeting],
            over: [0, second.side === 0 ? 1 : 0, third.side],
            isCommon: () =>
              Math.abs(
                areaOfPath(
                  combine(
                    [p, q, r].map((stretch) => bandOf(at(strands, stretch.strand), ends, stretch)),
                    "intersection",
                  ),
                ),
              ) > unseenArea(gap),
          },
        ];
      }),
    );
  });
}
