import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { Row } from "../frame/Card";

interface Facts { true_scale: number; point_scale: number; convergence_deg: number; convergence: string }

const oneDecimal = new Intl.NumberFormat("en-GB", { minimumFractionDigits: 1, maximumFractionDigits: 1 });

// The scale on the ground at the sheet's centre, and the angle from true north to grid north.
export function TrueScale({ sheet }: { sheet: number }) {
  const book = useBook();
  const facts = useQuery({ queryKey: ["facts", book.id, book.revision, sheet], queryFn: ({ signal }) => get<Facts>(`/api/books/${book.id}/sheets/${sheet}/facts`, signal), staleTime: Infinity });
  return (
    <>
      <Row name="On the ground">{facts.data ? `1:${oneDecimal.format(facts.data.true_scale)}` : "…"}</Row>
      <Row name="Convergence">{facts.data?.convergence ?? "…"}</Row>
    </>
  );
}
