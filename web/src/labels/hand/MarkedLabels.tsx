import { useEffect, useMemo, useState, type ReactNode } from "react";
import { useSheet } from "../../frame/useSheet";
import { MarkedLabelsContext } from "./marked";

/** What a step knows of the marks of labels, until it is left. */
export function MarkedLabels({ children }: { children: ReactNode }) {
  const { number } = useSheet();
  const [shown, setShown] = useState(false);
  const [picked, setPicked] = useState<string | null>(null);
  useEffect(() => setPicked(null), [number]);
  const value = useMemo(() => ({ shown, setShown, picked, setPicked }), [shown, picked]);
  return <MarkedLabelsContext.Provider value={value}>{children}</MarkedLabelsContext.Provider>;
}
