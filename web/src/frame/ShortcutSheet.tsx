import { Dialog, DialogContent, DialogTitle, Table, TableBody, TableCell, TableRow } from "@mui/material";

const KEYS = [
  ["Page Down, Page Up", "next sheet, sheet before"],
  ["/", "go to a sheet by name (on Proof)"],
  ["Ctrl + Z", "undo"],
  ["Ctrl + Shift + Z", "redo"],
  ["arrows, with Shift, with Alt", "move what is picked by 1, 10, 0.1 mm on paper (on Sheet and Weave)"],
  ["Ctrl + C, V, D, A", "copy, paste, duplicate, pick all elements (on Sheet)"],
  ["Delete, Esc", "remove what is picked, pick nothing (on Sheet)"],
  ["Shift or Alt while dragging", "hold the direction or the proportion; do not snap (on Sheet)"],
  ["Enter, Esc", "keep or drop a value that is being edited"],
  ["+, −", "larger, smaller (on Sheet and Proof)"],
  ["0, 1, 2, 3", "whole page, actual size, width, what is picked (on Sheet and Proof)"],
  ["Alt or Shift while turning", "tenths of a degree, steps of 15° (on Sheet)"],
  ["?", "this list"],
];

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
