import { expose } from "comlink";
import { PrintWork } from "./printWork";

expose(new PrintWork());
