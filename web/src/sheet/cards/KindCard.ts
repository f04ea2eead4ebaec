import type { ReactElement } from "react";
import type { Element } from "../../api/types";

// The settings that elements of one kind have, or of a few that have the same. onSave: where a change goes; label: of
// the change in the history, where it is not the element's title.
export type KindCard<E extends Element> = (props: {
  element: E;
  onSave: (patch: Partial<Element>, label?: string) => Promise<unknown>;
}) => ReactElement | null;
