import { Dialog, DialogContent, DialogTitle, Table, TableBody, TableCell, TableRow } from "@mui/material";

const KEYS = [
  ["Page Down, Page Up", "next sheet, sheet before"],
  ["/", "go to a sheet by name (on Proof)"],
  ["Ctrl + Z", "undo"],
  ["Ctrl + Shift + Z", "redo"],
  ["Enter, Esc", "keep or drop a value that is being edited"],
  ["+, −, 0", "larger, smaller, whole page (on Sheet and Proof)"],
  ["?", "this list"],
];

export function ShortcutSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="shortcut-title">
      <DialogTitle id="shortcut-title">Keys</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>{KEYS.map(([key, what]) => <TableRow key={key}><TableCell sx={{ fontWeight: 600 }}>{key}</TableCell><TableCell>{what}</TableCell></TableRow>)}</TableBody>
        </Table>
      </DialogContent>
    </Dialog>
  );
}
