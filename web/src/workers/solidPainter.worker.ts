import { serve } from "./serve";
import { SolidPainter } from "./solidPainter";

serve(new SolidPainter());
