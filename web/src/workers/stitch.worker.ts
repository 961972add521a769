import { expose } from "comlink";
import { StitchWork } from "./stitchWork";

expose(new StitchWork());
