import { serve } from "./serve";
import { CutWork } from "./cutWork";

serve(new CutWork());
