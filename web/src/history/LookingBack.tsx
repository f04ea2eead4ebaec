import { Box, Button } from "@mui/material";
import { useBook } from "../api/book";
import { Banner } from "../frame/Banner";
import { useLookBack } from "../frame/useLookBack";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** Says across Proof that it is not today's book that is seen. */
export function LookingBack() {
  const book = useBook();
  const { setAt } = useLookBack();
  if (book.at === undefined) return null;
  return (
    <Banner role="region" label={t("Looking back")}>
      <Box sx={{ flex: 1, fontSize: 14 }}>
        {rich(t("This is the book as it was<1/>; nothing you do here changes today’s book."), {
          1: book.at === 0 ? t(" when it began") : "",
        })}
      </Box>
      <Button variant="outlined" onClick={() => setAt(null)}>
        {t("Back to today")}
      </Button>
    </Banner>
  );
}
