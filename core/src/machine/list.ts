import { cutter } from "./cutter/cutter";
import type { Device } from "./device";
import { pagePrinter } from "./printer/pagePrinter";
import { stitcher } from "./stitcher/stitcher";
import { solidPrinter } from "./solid/solidPrinter";

/** Every simulated device. */
export const DEVICES: readonly Device[] = [pagePrinter, cutter, stitcher, solidPrinter];
