import { directionOfStitch, threadShades, THREAD_THICKNESS, type StitchPlan } from "@twin-petal/core";

/** Where thread is painted. */
interface Placing {
  readonly x: number;
  readonly y: number;
  /** Pixels a millimetre. */
  readonly scale: number;
}

/** What of a plan is to be painted, and where. */
export interface Wish {
  readonly plan: StitchPlan;
  /** Stitches are painted up to this one, which is left out. */
  readonly upTo: number;
  readonly to: Placing;
  readonly width: number;
  readonly height: number;
}

/** A picture of stitches, finished up to one of them. */
interface Layer {
  readonly canvas: OffscreenCanvas;
  readonly of: Omit<Wish, "upTo">;
  done: number;
  /** The thread that is sewn with at `done`. */
  thread: number;
}

/** Stitches painted between two looks at the clock. */
const AT_ONCE = 120;
const [SEWN, NEXT_THREAD] = [0, 3];

/**
 * Paints stitches a little at a time, so that no frame waits for all of them: while the view stays, only those that are
 * new; for another view the last picture is shown where it lies until the new one is done.
 */
export class ThreadPainter {
  private front: Layer | null = null;
  private back: Layer | null = null;
  private wish: Wish | null = null;
  private shades: { readonly of: StitchPlan; readonly colors: readonly (readonly string[])[] } | null = null;

  /** Asks for a picture. */
  want(wish: Wish): void {
    this.wish = wish;
  }

  /** Whether something that is wanted is not painted yet. */
  isBehind(): boolean {
    const { wish, front } = this;
    return wish !== null && !(front && isOf(front, wish) && front.done === wish.upTo);
  }

  /** Paints for some milliseconds. */
  work(milliseconds: number): void {
    const { wish } = this;
    if (!wish) return;
    const until = performance.now() + milliseconds;
    const layer = this.layerFor(wish);
    while (layer.done < wish.upTo && performance.now() < until) this.paint(layer, wish);
    if (layer.done >= wish.upTo && layer === this.back) {
      this.front = layer;
      this.back = null;
    }
  }

  /** Shows what there is: what is under way where nothing of the plan has been finished yet. */
  show(context: CanvasRenderingContext2D, to: Placing): void {
    const layer = this.front?.of.plan === this.wish?.plan ? this.front : (this.back ?? this.front);
    if (!layer) return;
    const { to: own } = layer.of;
    const by = to.scale / own.scale;
    context.setTransform(by, 0, 0, by, to.x - own.x * by, to.y - own.y * by);
    context.drawImage(layer.canvas, 0, 0);
    context.resetTransform();
  }

  /** The layer to go on with: the one in front where only stitches are added to it, else one that begins anew. */
  private layerFor(wish: Wish): Layer {
    if (this.front && isOf(this.front, wish) && this.front.done <= wish.upTo) return this.front;
    if (this.back && isOf(this.back, wish) && this.back.done <= wish.upTo) return this.back;
    const { upTo: _, ...of } = wish;
    this.back = { canvas: new OffscreenCanvas(wish.width, wish.height), of, done: 0, thread: 0 };
    return this.back;
  }

  /** Some stitches more, those of one direction at once. */
  private paint(layer: Layer, { plan, upTo, to }: Wish): void {
    const context = layer.canvas.getContext("2d");
    if (!context) return;
    const { x, y, how } = plan;
    const lines = new Map<string, Path2D>();
    const end = Math.min(upTo, layer.done + AT_ONCE);
    let k = layer.done;
    for (; k < end; k++) {
      if (how[k] === NEXT_THREAD) {
        if (lines.size > 0) break;
        layer.thread += 1;
      }
      if (how[k] !== SEWN || k === 0) continue;
      const [fromX, fromY, toX, toY] = [x[k - 1] ?? 0, y[k - 1] ?? 0, x[k] ?? 0, y[k] ?? 0];
      const shade = this.shadesFor(plan)[layer.thread]?.[directionOfStitch(toX - fromX, toY - fromY)] ?? "#000000";
      const line = lines.get(shade) ?? new Path2D();
      lines.set(shade, line);
      line.moveTo(fromX, fromY);
      line.lineTo(toX, toY);
    }
    layer.done = k;
    context.setTransform(to.scale, 0, 0, to.scale, to.x, to.y);
    context.lineCap = "round";
    context.lineWidth = Math.max(THREAD_THICKNESS, 0.8 / to.scale);
    for (const [shade, line] of lines) {
      context.strokeStyle = shade;
      context.stroke(line);
    }
  }

  private shadesFor(plan: StitchPlan): readonly (readonly string[])[] {
    if (this.shades?.of !== plan)
      this.shades = { of: plan, colors: plan.threads.map(({ color }) => threadShades(color)) };
    return this.shades.colors;
  }
}

function isOf({ of }: Layer, { plan, to, width, height }: Wish): boolean {
  const { x, y, scale } = of.to;
  return (
    of.plan === plan && x === to.x && y === to.y && scale === to.scale && of.width === width && of.height === height
  );
}
