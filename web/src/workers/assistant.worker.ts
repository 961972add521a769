import { expose } from "comlink";
import { Assistant } from "./assistant";

expose(new Assistant());
