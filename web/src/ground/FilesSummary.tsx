import { useState } from "react";
import { count } from "../api/words";
import { Notice } from "../frame/Notice";
import type { Arrivals } from "./arrivals";
import { t } from "../texts/t";

/** How the last files fared, until it is read. */
export function FilesSummary({ arrivals }: { arrivals: Arrivals }) {
  const [read, setRead] = useState<number[]>([]);
  const arrival = arrivals.list.find(
    (known) =>
      !read.includes(known.id) && (known.state === "failed" || (known.state === "done" && known.remarks.length > 0)),
  );
  if (!arrival) return null;
  const text =
    arrival.state === "failed"
      ? t("%{name} was not imported. %{value}", { name: arrival.name, value: arrival.reason ?? "" })
      : t("%{name} was imported. %{value}%{value2}", {
          name: arrival.name,
          value: arrival.replaces ? "" : `${count(arrival.remarks.length, "warning")}: `,
          value2: arrival.remarks.slice(0, 4).join(" "),
        });
  return (
    <Notice
      text={text}
      kind={arrival.state === "failed" ? "error" : "warning"}
      onClose={() => setRead([...read, arrival.id])}
    />
  );
}
