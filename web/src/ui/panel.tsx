import type { ReactNode } from "react";
import { Popover } from "radix-ui";

interface PanelProps {
  readonly trigger: ReactNode;
  readonly label?: string;
  readonly side?: "top" | "bottom";
  readonly align?: "start" | "center" | "end";
  /** Its size, as classes. */
  readonly className: string;
  /** Called when it opens. */
  onOpen?: () => void;
  readonly children: ReactNode;
}

/** What is told of something in it may have actions of its own, which belong to the panel. */
function isTold(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest("[data-sonner-toaster]") !== null;
}

/** Escape gives up what is being typed first; the next one closes. */
function isTyped(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement && target.type === "text";
}

/** A panel that opens beside its trigger and leaves the rest of the screen usable. */
export function Panel({ trigger, label, side = "bottom", align = "center", className, onOpen, children }: PanelProps) {
  return (
    <Popover.Root onOpenChange={(open) => open && onOpen?.()}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side={side}
          align={align}
          sideOffset={6}
          collisionPadding={8}
          {...(label !== undefined && { "aria-label": label })}
          onInteractOutside={(event) => isTold(event.target) && event.preventDefault()}
          onEscapeKeyDown={(event) => isTyped(event.target) && event.preventDefault()}
          className={`z-50 rounded-md border border-hairline bg-surface p-3 shadow-floating ${className}`}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
