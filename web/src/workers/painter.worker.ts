import { serve } from "./serve";
import { Painter } from "./painter";
import { WEB_HOST } from "./webHost";

serve(new Painter(WEB_HOST));
