import svgpath from "svgpath";
import { straight, type Cubic } from "../../geometry/cubic";
import { subpathOf, type Path, type Subpath } from "../../geometry/path";
import { between, ORIGIN, type Point } from "../../geometry/point";

const remembered = new Map<string, Path>();
const REMEMBERED_AT_MOST = 5_000;

/**
 * SVG path data of any commands as an outline. Arcs become cubics, quadratics are raised exactly. Throws a
 * RangeError in words when the data cannot be read.
 */
export function pathOfData(data: string): Path {
  const known = remembered.get(data);
  if (known) return known;
  const path = readPath(data);
  if (remembered.size >= REMEMBERED_AT_MOST) remembered.clear();
  remembered.set(data, path);
  return path;
}

function readPath(data: string): Path {
  const parsed = svgpath(data);
  // The SVG standard keeps what stands before a fault; where nothing does, there is nothing to draw.
  if (data.trim() !== "" && parsed.toString() === "") throw new RangeError("path data cannot be read");
  const reader = new PathReader();
  parsed
    .abs()
    .unshort()
    .unarc()
    .iterate((segment) => reader.take(segment));
  return reader.finish();
}

class PathReader {
  private readonly runs: Subpath[] = [];
  private segments: Cubic[] = [];
  private at: Point = ORIGIN;
  private start: Point = ORIGIN;

  take(segment: readonly (string | number)[]): void {
    const [command, ...values] = segment;
    const number = (index: number) => Number(values[index]);
    const point = (index: number): Point => ({ x: number(index), y: number(index + 1) });
    switch (command) {
      case "M":
        this.end(false);
        this.at = this.start = point(0);
        return;
      case "L":
        return this.line(point(0));
      case "H":
        return this.line({ x: number(0), y: this.at.y });
      case "V":
        return this.line({ x: this.at.x, y: number(0) });
      case "C":
        return this.curve(point(0), point(2), point(4));
      case "Q": {
        const [handle, end] = [point(0), point(2)];
        return this.curve(between(this.at, handle, 2 / 3), between(end, handle, 2 / 3), end);
      }
      case "Z":
        if (this.at.x !== this.start.x || this.at.y !== this.start.y) this.line(this.start);
        this.end(true);
        this.at = this.start;
        return;
      default:
        throw new RangeError(`path data: ${String(command)} is not known`);
    }
  }

  finish(): Path {
    this.end(false);
    if (this.runs.some(({ coordinates }) => !coordinates.every(Number.isFinite))) {
      throw new RangeError("path data: a coordinate is not finite");
    }
    return this.runs;
  }

  private line(end: Point): void {
    this.segments.push(straight(this.at, end));
    this.at = end;
  }

  private curve(leave: Point, arrive: Point, end: Point): void {
    this.segments.push([this.at, leave, arrive, end]);
    this.at = end;
  }

  private end(closed: boolean): void {
    if (this.segments.length > 0) this.runs.push(subpathOf(this.segments, closed));
    this.segments = [];
  }
}
