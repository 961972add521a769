import type { Point } from "../../geometry/point";
import { blocksOf, type Block, type ProgramFault, type Word } from "./blocks";

/** One move of the head, millimetres from the frame's lower left corner, y up. */
export interface HeadMove {
  /** The line of the program it stands on. */
  readonly line: number;
  /** Whether the head works on the way. */
  readonly isDown: boolean;
  /** Whether it is as quick as the device can: a travel. */
  readonly isRapid: boolean;
  /** Where it begins. */
  readonly from: Point;
  /** Where it ends. */
  readonly to: Point;
  /** The middle of the circle it runs along; null where it is straight. */
  readonly centre: Point | null;
  /** Which way round it runs along the circle, seen with y up. */
  readonly clockwise: boolean;
  /** Millimetres a second, for what is no travel. */
  readonly speed: number;
  /** How strong the head works. */
  readonly power: number;
  /** Seconds it waits before. */
  readonly wait: number;
}

/** An arc whose ends are not equally far from its middle is none, millimetres. */
const ROUND = 0.02;
const INCH = 25.4;

/** Codes that are understood and change nothing here: plane, no corrections, first place of work, path and feed as always. */
const NOTHING_TO_DO = new Set([17, 40, 49, 54, 61, 64, 94]);
const UNDERSTOOD_M = new Set([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 30]);

/** The moves of a program (ISO 6983), followed word by word; or its first fault with its line. */
export function readProgram(program: string): readonly HeadMove[] | ProgramFault {
  const blocks = blocksOf(program);
  if ("message" in blocks) return blocks;
  const head = new Head();
  for (const block of blocks) {
    const message = head.follow(block);
    if (message !== null) return { line: block.line, message };
    if (head.isEnded) break;
  }
  if (!head.isEnded) {
    const line = blocks.at(-1)?.line ?? 1;
    return { line, message: "the program does not end; write M2 or M30 at its end" };
  }
  return head.moves;
}

/** What a program has said so far. */
class Head {
  readonly moves: HeadMove[] = [];
  isEnded = false;
  private at: Point = { x: 0, y: 0 };
  private motion: 0 | 1 | 2 | 3 | null = null;
  private unit = 1;
  private isAbsolute = true;
  private areCentresAbsolute = false;
  private feed = 0;
  private power = 0;
  private isDown = false;
  private wait = 0;

  /** Follows a line; answers what is wrong with it, or null. */
  follow({ line, words }: Block): string | null {
    const value = (letter: string) => words.find((word) => word.letter === letter)?.value;
    const codes = words.filter(({ letter }) => letter === "G");
    const trouble = this.readCodes(codes, value) ?? this.readRest(words, value);
    if (trouble !== null) return trouble;
    const [x, y] = [value("X"), value("Y")];
    const isHome = codes.some((code) => code.value === 28);
    const isMove = x !== undefined || y !== undefined || isHome;
    const hasCentre = value("I") !== undefined || value("J") !== undefined;
    const isArc = this.motion === 2 || this.motion === 3;
    if (!isMove && !(isArc && hasCentre)) return this.finish(words);
    if (isHome) this.push(line, { x: 0, y: 0 }, null, true);
    else if (this.motion === null) return "a place is given, but not how to go there; write G0 to G3 before it";
    else {
      const to = this.placeOf(x, y);
      const fault = isArc ? this.arc(line, to, value) : this.straight(line, to);
      if (fault !== null) return fault;
    }
    return this.finish(words);
  }

  private readCodes(codes: readonly Word[], value: (letter: string) => number | undefined): string | null {
    const motions = codes.filter((code) => code.value <= 3);
    if (motions.length > 1) return "two ways of moving stand on one line; keep one of G0 to G3";
    for (const { value: code } of codes) {
      if (code === 0 || code === 1 || code === 2 || code === 3) this.motion = code;
      else if (code === 20 || code === 21) this.unit = code === 20 ? INCH : 1;
      else if (code === 90 || code === 91) this.isAbsolute = code === 90;
      else if (code === 90.1 || code === 91.1) this.areCentresAbsolute = code === 90.1;
      else if (code === 80) this.motion = null;
      else if (code === 4) {
        const seconds = value("P");
        if (seconds === undefined || seconds < 0) return "G4 waits so many seconds; give them by P";
        this.wait += seconds;
      } else if (code === 18 || code === 19) return `G${code} asks for another plane; this cutter has only G17`;
      else if (code !== 28 && !NOTHING_TO_DO.has(code)) return `this cutter does not know G${code}`;
    }
    return null;
  }

  private readRest(words: readonly Word[], value: (letter: string) => number | undefined): string | null {
    const [feed, power] = [value("F"), value("S")];
    if (feed !== undefined) {
      if (feed <= 0) return `a feed of ${feed} never gets there; F must be more than 0`;
      this.feed = feed * this.unit;
    }
    if (power !== undefined) {
      if (power < 0) return `S${power} is less than nothing`;
      this.power = power;
    }
    for (const { letter, value: code } of words) {
      if (letter !== "M") continue;
      if (!UNDERSTOOD_M.has(code)) return `this cutter does not know M${code}`;
      if (code === 3 || code === 4) this.isDown = true;
    }
    return null;
  }

  /** What a line does last of all. */
  private finish(words: readonly Word[]): null {
    for (const { letter, value } of words) {
      if (letter !== "M") continue;
      if (value === 5) this.isDown = false;
      if (value === 2 || value === 30) {
        this.isDown = false;
        this.isEnded = true;
      }
    }
    return null;
  }

  private placeOf(x: number | undefined, y: number | undefined): Point {
    const from = this.isAbsolute ? { x: 0, y: 0 } : this.at;
    return {
      x: x === undefined ? this.at.x : from.x + x * this.unit,
      y: y === undefined ? this.at.y : from.y + y * this.unit,
    };
  }

  private straight(line: number, to: Point): string | null {
    if (this.motion === 0) {
      this.push(line, to, null, true);
      return null;
    }
    if (this.feed === 0) return "no feed is given before this move; write F with how fast, in millimetres a minute";
    this.push(line, to, null, false);
    return null;
  }

  private arc(line: number, to: Point, value: (letter: string) => number | undefined): string | null {
    if (this.feed === 0) return "no feed is given before this move; write F with how fast, in millimetres a minute";
    const [i, j, radius] = [value("I"), value("J"), value("R")];
    if (radius !== undefined && (i !== undefined || j !== undefined))
      return "an arc has a radius R or a middle I J, not both";
    if (radius === undefined && i === undefined && j === undefined)
      return "an arc needs its middle, by I and J, or its radius, by R";
    const centre = radius === undefined ? this.centreOf(i ?? 0, j ?? 0) : this.centreBy(to, radius * this.unit);
    if (centre === null) return `no circle of radius ${radius ?? 0} goes through both ends of this arc`;
    const [near, far] = [
      Math.hypot(this.at.x - centre.x, this.at.y - centre.y),
      Math.hypot(to.x - centre.x, to.y - centre.y),
    ];
    if (near === 0) return "this arc’s middle is where it begins";
    if (Math.abs(near - far) > ROUND)
      return `this arc’s end is ${far.toFixed(3)} mm from its middle, but its beginning ${near.toFixed(3)} mm`;
    this.push(line, to, centre, false);
    return null;
  }

  private centreOf(i: number, j: number): Point {
    const from = this.areCentresAbsolute ? { x: 0, y: 0 } : this.at;
    return { x: from.x + i * this.unit, y: from.y + j * this.unit };
  }

  /** The middle of the circle of a radius through both ends: the shorter way round, or the longer where the radius is below 0. */
  private centreBy(to: Point, radius: number): Point | null {
    const [dx, dy] = [to.x - this.at.x, to.y - this.at.y];
    const chord = Math.hypot(dx, dy);
    const square = radius * radius - (chord * chord) / 4;
    if (chord === 0 || square < -ROUND * Math.abs(radius)) return null;
    const away = Math.sqrt(Math.max(0, square));
    const side = (this.motion === 2) === radius > 0 ? 1 : -1;
    return {
      x: this.at.x + dx / 2 + (side * away * dy) / chord,
      y: this.at.y + dy / 2 - (side * away * dx) / chord,
    };
  }

  private push(line: number, to: Point, centre: Point | null, isRapid: boolean): void {
    this.moves.push({
      ...{ line, isRapid, from: this.at, to, centre, wait: this.wait },
      isDown: this.isDown,
      clockwise: this.motion === 2,
      speed: this.feed / 60,
      power: this.power,
    });
    this.wait = 0;
    this.at = to;
  }
}
