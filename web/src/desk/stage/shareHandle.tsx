import {
  apply,
  directionOf,
  distance,
  invert,
  type Mark,
  type Part,
  type PlacedMark,
  type Point,
} from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";

interface ShareHandleProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: Extract<Mark, { kind: "share" }>;
}

/** Where on a line the copies begin or end: pulled along it. */
export function ShareHandle({ part, placed: { rule, toSheet }, mark }: ShareHandleProps) {
  const edit = useDesk((state) => state.edit);
  const { nudge } = useLengthReadout();
  const back = invert(toSheet);
  const { field, share, line } = mark;
  if (!back || line.length < 2) return null;
  const steps = line.length - 1;
  const at = placeAt(line, share);
  const [before, after] = [placeAt(line, share - 1 / steps), placeAt(line, share + 1 / steps)];
  const word = field === "from" ? "Beginning" : "End";
  return (
    <Handle
      label={`${word} on the line`}
      at={apply(toSheet, at)}
      readout={`${field} ${Number((share * 100).toFixed(1))} %`}
      nudge={nudge}
      onPull={(to, gesture) => {
        const next = Number(nearestShare(line, apply(back, to), share).toFixed(4));
        const key = `${part.id}/${rule}/${field}/${gesture}`;
        edit(setField(part.id, { rule }, field, next, `${field} → ${next}`, key));
      }}
    >
      <DropMark
        turn={directionOf(apply(toSheet, before), apply(toSheet, after)) + (field === "from" ? 0 : 180)}
        small
      />
    </Handle>
  );
}

function placeAt(line: readonly Point[], share: number): Point {
  const along = Math.min(1, Math.max(0, share)) * (line.length - 1);
  const index = Math.min(line.length - 2, Math.floor(along));
  const [from, to] = [line[index], line[index + 1]];
  const rest = along - index;
  if (!from || !to) return { x: 0, y: 0 };
  return { x: from.x + (to.x - from.x) * rest, y: from.y + (to.y - from.y) * rest };
}

/** How far along a line the point nearest to another lies; of equally near ones the one nearest to the present share. */
function nearestShare(line: readonly Point[], point: Point, present: number): number {
  let best = { share: present, away: Infinity };
  const steps = line.length - 1;
  for (let k = 0; k < steps; k++) {
    const [from, to] = [line[k], line[k + 1]];
    if (!from || !to) continue;
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const along = ((point.x - from.x) * dx + (point.y - from.y) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.min(1, Math.max(0, along));
    const share = (k + t) / steps;
    const away = distance(point, { x: from.x + dx * t, y: from.y + dy * t }) + Math.abs(share - present) * 1e-3;
    if (away < best.away) best = { share, away };
  }
  return best.share;
}
