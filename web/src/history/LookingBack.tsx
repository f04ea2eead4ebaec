import { Box, Button } from "@mui/material";
import { useBook } from "../api/book";
import { Banner } from "../frame/Banner";
import { useLookBack } from "../frame/useLookBack";

/** Says across Proof that it is not today's book that is seen. */
export function LookingBack() {
  const book = useBook();
  const { setAt } = useLookBack();
  if (book.at === undefined) return null;
  return (
    <Banner role="region" label="Looking back">
      <Box sx={{ flex: 1, fontSize: 14 }}>
        This is the book as it was{book.at === 0 ? " when it began" : ""}, to be looked at; nothing here changes today’s
        book.
      </Box>
      <Button variant="outlined" onClick={() => setAt(null)}>
        Back to today
      </Button>
    </Banner>
  );
}
