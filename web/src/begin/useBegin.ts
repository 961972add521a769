import { useMutation } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { createDesign } from "@/api/designs";
import { messageOf } from "@/api/http";

/** Begins a design from a design file's data, and opens it. */
export function useBegin() {
  const go = useNavigate();
  return useMutation({
    mutationFn: async (make: () => unknown) => createDesign(await make()),
    onSuccess: (id) => void go(`/designs/${id}`),
    onError: (error) => void toast.error(messageOf(error)),
  });
}
