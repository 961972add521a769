import { useRef, type ReactNode } from "react";
import { Dialog as Radix } from "radix-ui";
import { X } from "lucide-react";
import { IconButton } from "./button";

interface DialogProps {
  readonly title: string;
  readonly open: boolean;
  readonly onClose?: () => void;
  readonly children: ReactNode;
}

/** A sheet over the screen. Without `onClose` it stays until something in it is chosen. */
export function Dialog({ title, open, onClose, children }: DialogProps) {
  const before = useRef<Element | null>(null);
  const keep = (event: Event) => {
    if (!onClose) event.preventDefault();
  };
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose?.()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-words/25" />
        <Radix.Content
          aria-describedby={undefined}
          // It is opened by keys as well as by buttons: the focus goes back to where it was.
          onOpenAutoFocus={() => {
            before.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            if (before.current instanceof HTMLElement || before.current instanceof SVGElement) before.current.focus();
          }}
          onEscapeKeyDown={keep}
          onPointerDownOutside={keep}
          onInteractOutside={keep}
          className="fixed top-1/2 left-1/2 z-50 max-h-[86vh] w-[min(560px,92vw)] -translate-1/2 overflow-auto rounded-md border border-hairline bg-surface p-5 shadow-floating"
        >
          <div className="mb-3 flex items-center justify-between gap-4">
            <Radix.Title className="text-xl font-bold">{title}</Radix.Title>
            {onClose && (
              <IconButton label="Close" onClick={onClose}>
                <X size={18} />
              </IconButton>
            )}
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
