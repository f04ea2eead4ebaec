import { Box, CircularProgress, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { Navigate, Route, Routes, useParams } from "react-router";
import { BookContext, ChangeStateContext, ChangingContext, useBookQuery } from "./api/book";
import { get } from "./api/client";
import { useBookThen } from "./api/history";
import { useChanging } from "./api/useChanging";
import { useFaces } from "./api/useFaces";
import { CardInPlace } from "./frame/Card";
import { Frame } from "./frame/Frame";
import { STEPS } from "./frame/steps";
import { useLookBack } from "./frame/useLookBack";
import { HistoryCard } from "./history/HistoryCard";
import { LookingBack } from "./history/LookingBack";
import { Shelf } from "./shelf/Shelf";
import { GroundStep } from "./ground/GroundStep";
import { PressStep } from "./press/PressStep";
import { ProofStep } from "./proof/ProofStep";
import { SheetStep } from "./sheet/SheetStep";
import { WeaveStep } from "./weave/WeaveStep";

const VIEWS = { ground: GroundStep, sheet: SheetStep, weave: WeaveStep, proof: ProofStep, press: PressStep };

export function App() {
  return (
    <Routes>
      <Route path="/books/:book/:step" element={<OneBook />} />
      <Route path="/books" element={<Shelf />} />
      <Route path="*" element={<FirstBook />} />
    </Routes>
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
  const step = STEPS.find((known) => known.id === params.step);
  if (!step) return <Navigate replace to={`/books/${id}/weave`} />;
  if (book.isError && !book.data) return <Message text={book.error.message} />;
  if (!today) return <Waiting />;
  if (!shown && then.isError) return <Message text={then.error.message} />;
  if (!shown) return <Waiting />;
  const View = VIEWS[step.id];
  // Whatever is looked at, the history is of today's book and changes that.
  const history = open && (
    <BookContext value={today}>
      <ChangingContext value={changing}>
        <HistoryCard then={then.data} />
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
              <View />
            </Frame>
          </CardInPlace>
        </ChangeStateContext>
      </ChangingContext>
    </BookContext>
  );
}

function Waiting() {
  return (
    <Box sx={{ display: "grid", placeItems: "center", height: "100%" }}>
      <CircularProgress aria-label="Loading the book" />
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
