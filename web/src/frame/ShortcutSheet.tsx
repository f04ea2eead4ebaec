import { Dialog, DialogContent, DialogTitle, Table, TableBody, TableCell, TableRow } from "@mui/material";

const KEYS = [
  ["Page Down, Page Up", "next sheet, sheet before"],
  ["/", "go to a sheet by name (on Proof)"],
  ["Ctrl + Z", "undo"],
  ["Ctrl + Shift + Z", "redo"],
  ["arrows, with Shift, with Alt", "move the selection by 1, 10, 0.1 mm on paper (on Sheet and Weave)"],
  ["Ctrl + C, V, D, A", "copy, paste, duplicate, select all elements (on Sheet)"],
  ["Delete, Esc", "remove the selection, clear the selection (on Sheet)"],
  ["Shift or Alt while dragging", "hold the direction or the proportion; do not snap (on Sheet)"],
  ["Enter, Esc", "apply or cancel a value that is being edited"],
  ["Space while dragging, double click", "move the ground in the selected frame (on Sheet)"],
  ["<, >", "the selected frame’s ground smaller, larger by standard scales (on Sheet)"],
  ["+, −", "larger, smaller (on Sheet and Proof)"],
  ["F, A, W, S", "fit the page, actual size, width, selection (on Sheet and Proof)"],
  ["Alt or Shift while rotating", "tenths of a degree, steps of 15° (on Sheet)"],
  ["?", "this list"],
];

/** The keys that do something, in a dialog. */
export function ShortcutSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="shortcut-title">
      <DialogTitle id="shortcut-title">Keys</DialogTitle>
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
