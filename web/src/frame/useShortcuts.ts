import { useEffect } from "react";

/** Keys that work anywhere but where text is typed. Names: "PageDown", "/", "Ctrl+z", "Ctrl+Shift+Z", "?". */
export function useShortcuts(keys: Record<string, () => void>) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable) return;
      const name = `${event.altKey ? "Alt+" : ""}${event.ctrlKey || event.metaKey ? "Ctrl+" : ""}${event.shiftKey && event.key.length > 1 ? "Shift+" : ""}${event.ctrlKey && event.shiftKey ? "Shift+" : ""}${event.key}`;
      const action = keys[name];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [keys]);
}
