import { serve } from "./serve";
import { PrintWork } from "./printWork";

serve(new PrintWork());
