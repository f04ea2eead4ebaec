import { Fragment, type ReactNode } from "react";

/** A text with parts that are more than text: <1/>, <2/> … stand for them, in whatever order its language has them. */
export function rich(text: string, parts: Record<string, ReactNode>): ReactNode {
  return text
    .split(/<(\d+)\/>/)
    .map((piece, place) => (
      <Fragment key={place % 2 ? `part ${piece}` : place}>{place % 2 ? parts[piece] : piece}</Fragment>
    ));
}
