type Aimed = Pick<Event, "target">;

/** Whether something is typed into a text, which has its keys and its clipboard to itself. */
export function isTyping({ target }: Aimed): boolean {
  return (
    target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement
  );
}

/** Menus and dialogs keep their keys to themselves. */
export function isElsewhere({ target }: Aimed): boolean {
  return target instanceof Element && target.closest('[role="menu"], [role="dialog"]') !== null;
}
