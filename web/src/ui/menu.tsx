import { createContext, useCallback, useContext, useRef, type ReactNode } from "react";
import { DropdownMenu } from "radix-ui";

interface MenuProps {
  readonly trigger: ReactNode;
  readonly children: ReactNode;
  /** Opens to the right of its trigger, where it is large. */
  readonly beside?: boolean;
  /** What has the focus once something was chosen, as a CSS selector: the trigger unless told. */
  readonly leadsTo?: string;
}

/** Told when something of a menu is chosen. */
const ChosenContext = createContext<() => void>(() => undefined);

/** A menu gives the focus back a moment after it closed: not where another was opened meanwhile, which that would close. */
function keepOpened(event: Event): void {
  if (document.querySelector('[role="menu"][data-state="open"]')) event.preventDefault();
}

/** A menu that opens under its trigger, or beside it. */
export function Menu({ trigger, children, beside = false, leadsTo }: MenuProps) {
  const isChosen = useRef(false);
  const chose = useCallback(() => {
    isChosen.current = true;
  }, []);
  const giveFocus = (event: Event) => {
    keepOpened(event);
    const next = isChosen.current && leadsTo ? document.querySelector<HTMLElement>(leadsTo) : null;
    isChosen.current = false;
    if (!next || event.defaultPrevented) return;
    event.preventDefault();
    next.focus();
  };
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={beside ? 10 : 4}
          side={beside ? "right" : "bottom"}
          align="start"
          collisionPadding={8}
          onCloseAutoFocus={giveFocus}
          className="z-50 max-h-[min(86vh,var(--radix-dropdown-menu-content-available-height))] min-w-44 overflow-auto rounded-md border border-hairline bg-surface p-1 shadow-floating"
        >
          <ChosenContext value={chose}>{children}</ChosenContext>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

interface MenuItemProps {
  readonly children: ReactNode;
  readonly onSelect: () => void;
  readonly disabled?: boolean;
  readonly hint?: string;
}

export function MenuItem({ children, onSelect, disabled, hint }: MenuItemProps) {
  const chose = useContext(ChosenContext);
  return (
    <DropdownMenu.Item
      onSelect={() => {
        chose();
        onSelect();
      }}
      disabled={disabled}
      className="flex cursor-pointer items-center gap-2 rounded px-2 py-1.5 outline-none data-disabled:cursor-default data-disabled:opacity-45 data-highlighted:bg-page"
    >
      <span className="flex flex-1 items-center gap-2">{children}</span>
      {hint && <span className="text-sm text-quiet">{hint}</span>}
    </DropdownMenu.Item>
  );
}

export function MenuHeading({ children }: { children: ReactNode }) {
  return <DropdownMenu.Label className="px-2 pt-2 pb-1 text-sm text-quiet">{children}</DropdownMenu.Label>;
}

export function MenuLine() {
  return <DropdownMenu.Separator className="my-1 h-px bg-hairline" />;
}

/** Items as pictures, in rows; in longer rows where there are many. */
export function MenuPictures({ children, many = false }: { children: ReactNode; many?: boolean }) {
  const rows = many ? "w-[min(660px,78vw)] grid-cols-6" : "w-[min(560px,78vw)] grid-cols-4";
  return <div className={`grid items-start gap-1 ${rows}`}>{children}</div>;
}
