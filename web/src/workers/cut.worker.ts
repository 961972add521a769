import { expose } from "comlink";
import { CutWork } from "./cutWork";

expose(new CutWork());
