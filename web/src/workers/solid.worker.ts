import { expose } from "comlink";
import { SolidWork } from "./solidWork";

expose(new SolidWork());
