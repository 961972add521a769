import { serve } from "./serve";
import { SolidWork } from "./solidWork";

serve(new SolidWork());
