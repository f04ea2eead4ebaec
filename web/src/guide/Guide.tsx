import { lazy, Suspense } from "react";
import { useLocation } from "react-router";
import { useGuide } from "./useGuide";

const GuidePanel = lazy(() => import("./GuidePanel"));

/** The guide, where it is open; card: how wide the card is that every step has on the right, in px. */
export function Guide({ card }: { card: number }) {
  const { open, show } = useGuide();
  const { pathname } = useLocation();
  if (open === null) return null;
  return (
    <Suspense fallback={null}>
      <GuidePanel place={open} card={pathname === "/books" ? 0 : card} onShow={show} />
    </Suspense>
  );
}
