import { NumberOrNone } from "./NumberOrNone";

interface PointsProps {
  label: string;
  value: number | undefined;
  placeholder: string;
  onSave: (value: number | undefined) => Promise<unknown>;
}

function read(text: string) {
  const size = Number(text.replace(",", "."));
  if (!(size > 0 && size <= 1000)) throw new Error("Enter a size up to 1000 pt, such as 6.");
  return size;
}

// A size of type, or none of its own.
export const Points = (props: PointsProps) => <NumberOrNone {...props} read={read} />;
