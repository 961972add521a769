import { serve } from "./serve";
import { Assistant } from "./assistant";

serve(new Assistant());
