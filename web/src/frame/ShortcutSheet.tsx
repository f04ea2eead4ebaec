import { Dialog, DialogContent, DialogTitle, Table, TableBody, TableCell, TableRow } from "@mui/material";
import { t } from "../texts/t";

const KEYS = [
  ["Page Down, Page Up", t("next sheet, sheet before")],
  ["/", t("go to a sheet by name (on Proof)")],
  ["Ctrl + Z", t("undo")],
  ["Ctrl + Shift + Z", t("redo")],
  ["arrows, with Shift, with Alt", t("move the selection by 1, 10, 0.1 mm on paper (on Sheet and Weave)")],
  ["Ctrl + C, V, D, A", t("copy, paste, duplicate, select all elements (on Sheet)")],
  ["Delete, Esc", t("remove the selection, clear the selection (on Sheet)")],
  ["Shift or Alt while dragging", t("keep the direction or the aspect ratio; do not snap (on Sheet)")],
  ["Enter, Esc", t("apply or cancel a value that is being edited")],
  ["Space while dragging, double click", t("move the ground in the selected frame (on Sheet)")],
  ["<, >", t("the selected frame’s ground smaller, larger by standard scales (on Sheet)")],
  ["+, −", t("larger, smaller (on Sheet and Proof)")],
  ["F, A, W, S", t("fit the page, actual size, width, selection (on Sheet and Proof)")],
  ["Alt or Shift while rotating", t("tenths of a degree, steps of 15° (on Sheet)")],
  ["?", t("this list")],
];

/** The keys that do something, in a dialog. */
export function ShortcutSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="shortcut-title">
      <DialogTitle id="shortcut-title">{t("Keys")}</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {KEYS.map(([key, what]) => (
              <TableRow key={key}>
                <TableCell sx={{ fontWeight: 600 }}>{key}</TableCell>
                <TableCell>{what}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
    </Dialog>
  );
}
