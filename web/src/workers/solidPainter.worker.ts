import { expose } from "comlink";
import { SolidPainter } from "./solidPainter";

expose(new SolidPainter());
