import { straight } from "../geometry/cubic";
import { subpathOf, type Subpath } from "../geometry/path";
import type { PartScene, Scene } from "../scene/scene";
import { barePart } from "../scene/barePart";
import { directionOfStitch, threadShades } from "./light";
import { planStitches } from "./plan";
import type { StitchPlan } from "./stitchPlan";
import { NEXT_THREAD, SEWN } from "./sewnThread";
import { THREAD_THICKNESS } from "./thickness";

/** Stitches painted as one part: few enough that what is sewn later lies over what was sewn before. */
const AT_ONCE = 400;

/** A scene as thread: its parts are what is sewn, lighter and darker by its direction. The geometry engine must have been loaded. */
export function stitchedScene(scene: Scene): Scene {
  // On the sheet everything is as large as it is drawn.
  const stitch = { ...scene.making.stitch, scale: 1 };
  return { ...scene, parts: partsOf(planStitches({ ...scene, making: { ...scene.making, stitch } })) };
}

function partsOf({ x, y, how, threads }: StitchPlan): PartScene[] {
  const parts: PartScene[] = [];
  const shades = threads.map(({ color }) => threadShades(color));
  let lines = new Map<string, Subpath[]>();
  let [thread, count] = [0, 0];
  const put = () => {
    for (const [color, path] of lines) parts.push(threadPart(path, color, parts.length));
    lines = new Map();
    count = 0;
  };
  how.forEach((code, k) => {
    if (code === NEXT_THREAD) {
      put();
      thread += 1;
    }
    if (code !== SEWN || k === 0) return;
    const [from, to] = [
      { x: x[k - 1] ?? 0, y: y[k - 1] ?? 0 },
      { x: x[k] ?? 0, y: y[k] ?? 0 },
    ];
    const color = shades[thread]?.[directionOfStitch(to.x - from.x, to.y - from.y)] ?? "#000000";
    const path = lines.get(color) ?? [];
    lines.set(color, path);
    path.push(subpathOf([straight(from, to)], false));
    count += 1;
    if (count >= AT_ONCE) put();
  });
  put();
  return parts;
}

function threadPart(path: Subpath[], color: string, number: number): PartScene {
  return barePart({
    id: `thread.${number}`,
    name: "Thread",
    path,
    line: {
      width: THREAD_THICKNESS,
      cap: "round",
      join: "round",
      dash: [],
      dots: null,
      swell: [],
      place: "center",
      widths: "copies",
      paint: { kind: "flat", color },
    },
  });
}
