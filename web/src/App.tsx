import { Box, CircularProgress, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useEffect, type ComponentType } from "react";
import { Navigate, Route, Routes, useParams } from "react-router";
import { BookContext, ChangeStateContext, ChangingContext, useBookQuery } from "./api/book";
import { get } from "./api/client";
import { useBookThen } from "./api/history";
import { useChanging } from "./api/useChanging";
import { useFaces } from "./api/useFaces";
import { CARD_WIDTH, CardInPlace } from "./frame/Card";
import { Frame } from "./frame/Frame";
import { STEPS } from "./frame/steps";
import { useLookBack } from "./frame/useLookBack";
import { Guide } from "./guide/Guide";
import { LookingBack } from "./history/LookingBack";
import { t } from "./texts/t";

// What comes when it is opened, or when there is nothing else to do.
const later = (load: () => Promise<{ default: ComponentType }>) => ({ load, View: lazy(load) });

const VIEWS = {
  ground: later(() => import("./ground/GroundStep").then(({ GroundStep }) => ({ default: GroundStep }))),
  sheet: later(() => import("./sheet/SheetStep").then(({ SheetStep }) => ({ default: SheetStep }))),
  weave: later(() => import("./weave/WeaveStep").then(({ WeaveStep }) => ({ default: WeaveStep }))),
  proof: later(() => import("./proof/ProofStep").then(({ ProofStep }) => ({ default: ProofStep }))),
  press: later(() => import("./press/PressStep").then(({ PressStep }) => ({ default: PressStep }))),
};
const HistoryCard = lazy(() => import("./history/HistoryCard").then(({ HistoryCard }) => ({ default: HistoryCard })));
const Shelf = lazy(() => import("./shelf/Shelf").then(({ Shelf }) => ({ default: Shelf })));

/** The whole of the interface: the shelf of books, or one book at one of its steps, by the address. */
export function App() {
  return (
    <>
      <Routes>
        <Route path="/books/:book/:step" element={<OneBook />} />
        <Route
          path="/books"
          element={
            <Suspense fallback={<Waiting />}>
              <Shelf />
            </Suspense>
          }
        />
        <Route path="*" element={<FirstBook />} />
      </Routes>
      <Guide card={CARD_WIDTH} />
    </>
  );
}

function FirstBook() {
  const books = useQuery({ queryKey: ["books"], queryFn: ({ signal }) => get<{ id: number }[]>("/api/books", signal) });
  if (books.isError) return <Message text={books.error.message} />;
  if (!books.data) return <Waiting />;
  const first = books.data[0];
  return first ? <Navigate replace to={`/books/${first.id}/weave`} /> : <Navigate replace to="/books" />;
}

function OneBook() {
  const params = useParams();
  const id = Number(params.book);
  const book = useBookQuery(id);
  const { shown: today, changing, state } = useChanging(id, book.data);
  const { open, at } = useLookBack();
  const then = useBookThen(id, book.data?.revision, at);
  // Proof shows the book as it was; the other steps change today's.
  const shown = params.step === "proof" && at !== null ? then.data : today;
  useFaces(shown);
  useOtherSteps();
  const step = STEPS.find((known) => known.id === params.step);
  if (!step) return <Navigate replace to={`/books/${id}/weave`} />;
  if (book.isError && !book.data) return <Message text={book.error.message} />;
  if (!today) return <Waiting />;
  if (!shown && then.isError) return <Message text={then.error.message} />;
  if (!shown) return <Waiting />;
  const { View } = VIEWS[step.id];
  // Whatever is looked at, the history is of today's book and changes that.
  const history = open && (
    <BookContext value={today}>
      <ChangingContext value={changing}>
        <Suspense fallback={null}>
          <HistoryCard then={then.data} />
        </Suspense>
      </ChangingContext>
    </BookContext>
  );
  return (
    <BookContext value={shown}>
      <ChangingContext value={changing}>
        <ChangeStateContext value={state}>
          <CardInPlace value={history || null}>
            <Frame step={step.id}>
              <LookingBack />
              <Suspense fallback={<Waiting />}>
                <View />
              </Suspense>
            </Frame>
          </CardInPlace>
        </ChangeStateContext>
      </ChangingContext>
    </BookContext>
  );
}

// The other steps come while nothing else is to be done, so that they are there at once, also where the server has gone
// or has others by then.
function useOtherSteps() {
  useEffect(() => {
    const timer = window.setTimeout(
      () => Promise.allSettled(Object.values(VIEWS).map(({ load }) => load())),
      SETTLED_MS,
    );
    return () => window.clearTimeout(timer);
  }, []);
}

// By then the first picture is there, or nearly.
const SETTLED_MS = 3000;

function Waiting() {
  return (
    <Box sx={{ display: "grid", placeItems: "center", height: "100%" }}>
      <CircularProgress aria-label={t("Loading the book")} />
    </Box>
  );
}

function Message({ text }: { text: string }) {
  return (
    <Box component="main" sx={{ display: "grid", placeItems: "center", height: "100%", p: 4 }}>
      <Typography component="h1" variant="h2" role="alert">
        {text}
      </Typography>
    </Box>
  );
}
