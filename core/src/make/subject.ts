import type { Design } from "../design/design";
import { SceneBuilder } from "../scene/sceneBuilder";
import type { Scene } from "../scene/scene";
import type { SolidModel } from "../solid/bodies";

/** What a file is made of: the scene, and the design it came from, which files carry along or are called after. */
export interface Subject {
  /** As it is stored in files that carry it. */
  readonly design: Design;
  /** What is drawn. */
  readonly scene: Scene;
}

/** The same with its solids, united and cut. */
export interface SolidSubject extends Subject {
  /** What stands up. */
  readonly solids: SolidModel;
}

/** A design with its scene; `onWork` is told the name of each part before it is computed. What it needs must have been loaded. */
export function subjectOf(design: Design, onWork?: (part: string) => void): Subject {
  return { design, scene: new SceneBuilder(onWork).build(design) };
}
