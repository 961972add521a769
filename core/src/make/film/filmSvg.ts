import { writeDesign } from "../../design/write";
import { dpiWithinXml } from "../../finish/dpiWithin";
import { decimals } from "../../geometry/decimals";
import type { FlatFormat } from "../format";
import { hasRestImages } from "../images/imagesWithin";
import { copyLines, partGroup } from "../svg/part";
import { svgOfScene } from "../svg/svg";
import { buildUpOf, type BuildUp, type BuiltPart } from "./buildUp";

/** Times a second something new is seen at most. */
const A_SECOND = 30;
/** The whole is looked at for so long before it begins again, seconds. */
const REST = 1.5;

/** The build-up as one SVG that plays by itself, by SMIL animation alone; a viewer that plays nothing shows the whole. */
export const filmSvg: FlatFormat = {
  extension: "film.svg",
  mediaType: "image/svg+xml",
  kind: "drawing",
  options: ["dpi", "duration"],
  saysShades: true,
  needsRasteriser: hasRestImages,
  imageDpi: dpiWithinXml,
  make({ design, scene }, { dpi, duration }) {
    const buildUp = buildUpOf(scene);
    const stage = new Stage(buildUp, duration);
    return svgOfScene(scene, {
      title: design.name,
      unit: design.sheet.unit,
      embed: writeDesign(design),
      imageDpi: dpiWithinXml(scene.sheet, dpi),
      filters: true,
      staging: {
        also: buildUp.parts.flatMap(({ copies, isMore }) => (isMore ? [copies] : [])),
        lines: (number, whole) => {
          const part = buildUp.parts[number];
          return part ? stage.linesOf(part, whole) : whole;
        },
      },
    });
  },
};

/** When each copy comes and goes. */
class Stage {
  /** How many times something new is seen. */
  private readonly steps: number;
  private readonly period: number;

  constructor(
    private readonly buildUp: BuildUp,
    private readonly duration: number,
  ) {
    this.steps = Math.max(1, Math.min(buildUp.count, Math.round(duration * A_SECOND)));
    this.period = duration + REST;
  }

  /** A part's lines, of which more and more are seen; `whole` are those of the part as it is in the end. */
  linesOf({ whole: part, copies, isMore, before }: BuiltPart, whole: readonly string[]): string[] {
    const own = isMore ? copies : part;
    const { count } = own.geometry.placements;
    const end = this.stepOf(before + count - 1);
    const built = [partGroup(own), ...this.stepped(copyLines(own), before), "</g>"];
    if (!isMore) return built;
    return [...this.between(built, 0, end), ...this.from(whole, end)];
  }

  private stepOf(copy: number): number {
    return Math.floor((copy * this.steps) / Math.max(1, this.buildUp.count));
  }

  /** One line a copy, each step's in a group of its own. */
  private stepped(lines: readonly string[], before: number): string[] {
    const groups = new Map<number, string[]>();
    lines.forEach((line, copy) => {
      const step = this.stepOf(before + copy);
      const group = groups.get(step);
      if (group) group.push(line);
      else groups.set(step, [line]);
    });
    return [...groups].flatMap(([step, group]) => this.from(group, step));
  }

  /** Lines that are seen from a step on. */
  private from(lines: readonly string[], step: number): string[] {
    if (step === 0) return [...lines];
    return [`<g>${this.animation(["none", "inline"], [0, this.shareOf(step)])}`, ...lines, `</g>`];
  }

  /** Lines that are seen between two steps, and not at all where nothing plays. */
  private between(lines: readonly string[], from: number, to: number): string[] {
    const [begin, end] = [this.shareOf(from), this.shareOf(to)];
    if (end <= begin) return [];
    return [`<g display="none">${this.animation(["inline", "none"], [begin, end])}`, ...lines, `</g>`];
  }

  private animation(values: readonly string[], times: readonly number[]): string {
    const keyTimes = times.map((time) => decimals(time, 5)).join(";");
    return `<animate attributeName="display" calcMode="discrete" values="${values.join(";")}" keyTimes="${keyTimes}" dur="${decimals(this.period, 3)}s" repeatCount="indefinite"/>`;
  }

  /** The share of the period after which a step is seen. */
  private shareOf(step: number): number {
    return (step / this.steps) * (this.duration / this.period);
  }
}
