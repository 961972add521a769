import { expose } from "comlink";
import { Painter } from "./painter";
import { WEB_HOST } from "./webHost";

expose(new Painter(WEB_HOST));
