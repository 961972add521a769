import { serve } from "./serve";
import { StitchWork } from "./stitchWork";

serve(new StitchWork());
