import { createPortal } from "react-dom";
import { DropdownMenu } from "radix-ui";
import type { Point } from "@twin-petal/core";
import { MenuItem } from "@/ui/menu";
import type { NodeAction } from "./nodeActions";

interface NodeMenuProps {
  /** Where it is open, pixels of the window; null while it is closed. */
  readonly at: Point | null;
  readonly actions: readonly NodeAction[];
  onClose: () => void;
}

/** What can be done to the chosen nodes, opened where they are. */
export function NodeMenu({ at, actions, onClose }: NodeMenuProps) {
  return createPortal(
    <DropdownMenu.Root open={at !== null} modal={false} onOpenChange={(isOpen) => isOpen || onClose()}>
      <DropdownMenu.Trigger asChild>
        <span
          aria-hidden="true"
          className="pointer-events-none fixed size-px"
          style={{ left: at?.x ?? 0, top: at?.y ?? 0 }}
        />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          aria-label="The chosen nodes"
          side="right"
          align="start"
          sideOffset={12}
          collisionPadding={8}
          onCloseAutoFocus={(event) => {
            // The keys go back to the nodes, where they came from.
            event.preventDefault();
            document.getElementById("node-layer")?.focus();
          }}
          className="z-50 max-h-[86vh] min-w-44 overflow-auto rounded-md border border-hairline bg-surface p-1 shadow-floating"
        >
          {actions.map(({ words, act }) => (
            <MenuItem key={words} onSelect={act}>
              {words}
            </MenuItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>,
    document.body,
  );
}
