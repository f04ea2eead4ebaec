import { NumberOrNone } from "./NumberOrNone";

interface WholeNumberProps {
  label: string;
  value: number | undefined;
  placeholder?: string;
  onSave: (value: number | undefined) => Promise<unknown>;
}

function read(text: string) {
  const number = Number(text);
  if (!Number.isInteger(number)) throw new Error("Enter a whole number.");
  return number;
}

// A whole number, or none of its own.
export const WholeNumber = ({ placeholder = "as fits", ...props }: WholeNumberProps) => (
  <NumberOrNone {...props} placeholder={placeholder} read={read} />
);
