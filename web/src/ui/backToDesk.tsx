import { ArrowLeft } from "lucide-react";
import { Link } from "react-router";

/** The way back to the desk from a screen about the same design. */
export function BackToDesk({ id }: { id: string }) {
  return (
    <Link
      to={`/designs/${id}`}
      className="flex items-center gap-1 rounded-md px-2 py-1 font-medium hover:bg-page"
      title="Back to the desk"
    >
      <ArrowLeft size={16} aria-hidden="true" /> Desk
    </Link>
  );
}
