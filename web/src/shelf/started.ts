import type { Arrival } from "../api/types";
import type { Suggestion } from "../fields/ReferenceField";

// A file that a book is to be made of; book: its number once it is made.
export interface Started extends Arrival {
  book: number | null;
  // A book with everything that is opened, layer by layer.
  opens: boolean;
  suggestions: Suggestion[];
}

export interface Proposal {
  suggestions: Suggestion[];
  reference?: { code: string; name: string };
  scales?: { scale: number; count: number | null }[];
  proposed?: number;
  about?: boolean;
  problem?: string;
}
