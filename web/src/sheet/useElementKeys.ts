import { useMemo } from "react";
import { useShortcuts } from "../frame/useShortcuts";
import { useLayout } from "./layout";
import type { Elements } from "./useElements";

/** Moves, removes and copies the selected elements by keys. */
export function useElementKeys(elements: Elements, wanted: string[], setWanted: (ids: string[]) => void) {
  const { layout } = useLayout();
  const keys = useMemo(() => {
    const arrows = (mm: number) => ({
      ArrowLeft: () => elements.nudge(-mm, 0),
      ArrowRight: () => elements.nudge(mm, 0),
      ArrowUp: () => elements.nudge(0, -mm),
      ArrowDown: () => elements.nudge(0, mm),
    });
    const with_ = (prefix: string, mm: number) =>
      Object.fromEntries(Object.entries(arrows(mm)).map(([key, work]) => [prefix + key, work]));
    return {
      ...(wanted.length ? { ...arrows(1), ...with_("Shift+", 10), ...with_("Alt+", 0.1) } : {}),
      Delete: elements.remove,
      Backspace: elements.remove,
      Escape: () => setWanted([]),
      "Ctrl+d": elements.duplicate,
      "Ctrl+c": elements.copy,
      "Ctrl+v": elements.paste,
      "Ctrl+a": () => setWanted(layout.elements.filter((element) => !element.hidden).map((element) => element.id)),
    };
  }, [elements, wanted, setWanted, layout.elements]);
  useShortcuts(keys);
}
