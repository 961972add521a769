import { useEffect } from "react";

/** Where keys may go; not into texts, which would take the next ones as letters. */
const FOCUSABLE = 'button:not([disabled]), [tabindex="0"], a[href]';

/**
 * Keeps the focus near where it was when what had it goes away: an action that removes its own words would else leave the
 * keys nowhere. It goes to what stands in its place, or before it.
 */
export function useFocusKept(): void {
  useEffect(() => {
    let trail: readonly Element[] = [];
    let index = 0;
    const onFocus = ({ target }: FocusEvent) => {
      if (!(target instanceof Element) || target === document.body) return;
      trail = ancestorsOf(target);
      const around = trail.find((element) => element.matches("section, li, main, aside")) ?? document.body;
      index = [...around.querySelectorAll(FOCUSABLE)].indexOf(target);
    };
    const onChange = () => {
      const [had] = trail;
      if (!had || had.isConnected || document.activeElement !== document.body) return;
      const around = trail.find((element) => element.isConnected && element.matches("section, main, aside, ol, ul"));
      trail = [];
      if (!around) return;
      const left = [...around.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(isShown);
      left[Math.min(Math.max(0, index), left.length - 1)]?.focus({ preventScroll: true });
    };
    const watcher = new MutationObserver(onChange);
    watcher.observe(document.body, { childList: true, subtree: true });
    document.addEventListener("focusin", onFocus);
    return () => {
      watcher.disconnect();
      document.removeEventListener("focusin", onFocus);
    };
  }, []);
}

function isShown(element: HTMLElement): boolean {
  return element.offsetParent !== null;
}

function ancestorsOf(element: Element): Element[] {
  const trail: Element[] = [];
  for (let next: Element | null = element; next; next = next.parentElement) trail.push(next);
  return trail;
}
