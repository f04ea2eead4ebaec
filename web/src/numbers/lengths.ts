// Lengths as they are typed: a number or a small sum, in the unit that is shown or in one that is named.

import { readNumber } from "./read";
import { written } from "./written";

export type PaperUnit = "mm" | "in" | "pt";

const MM_PER: Record<PaperUnit, number> = { mm: 1, in: 25.4, pt: 25.4 / 72 };

const DECIMALS: Record<PaperUnit, number> = { mm: 2, in: 4, pt: 2 };

export const shown = (mm: number, unit: PaperUnit) => written(Number((mm / MM_PER[unit]).toFixed(DECIMALS[unit])));

export const isPaperUnit = (unit: string): unit is PaperUnit => unit in MM_PER;

/** The same as readLength, counted in the unit. */
export function readLengthIn(text: string, unit: PaperUnit): number | null {
  const named = NAMED.exec(text.trim());
  const used = (named?.[1] as PaperUnit | undefined) ?? unit;
  const bare = text.trim().replace(NAMED, "");
  const value = readNumber(bare) ?? new Sum(tokens(bare)).whole();
  return value === null || used === unit ? value : tidy((value * MM_PER[used]) / MM_PER[unit]);
}

/** "297/2", "12 + 3.5", "(210-20)/3", "1 in", "1 1/4 in", "1,189" → millimetres; null for what does not read. */
export function readLength(text: string, unit: PaperUnit): number | null {
  const value = readLengthIn(text, unit);
  return value === null ? null : tidy(value * MM_PER[unit]);
}

// Without what fractions of two leave behind.
const tidy = (value: number) => Number(value.toFixed(9));

const NAMED = /(mm|in|pt)\s*$/;

// Numbers of a sum, grouped ones too, and its signs.
const tokens = (text: string) =>
  text
    .replace(/[\u2212\u2013]/g, "-")
    .replace(/[1-9]\d{0,2}(?:,\d{3})+(?![\d,])/g, (grouped) => grouped.replaceAll(",", ""))
    .replaceAll(",", ".")
    .match(/\d+(?:\.\d+)?|\.\d+|[-+*/()]|\S/g) ?? [];

// Sums with + − × ÷ and brackets.
class Sum {
  private at = 0;

  constructor(private readonly tokens: string[]) {}

  whole(): number | null {
    const value = this.sum();
    return value !== null && this.at === this.tokens.length && Number.isFinite(value) ? value : null;
  }

  private sum(): number | null {
    let value = this.product();
    while (value !== null && (this.next("+") || this.next("-"))) {
      const minus = this.tokens[this.at - 1] === "-";
      const other = this.product();
      value = other === null ? null : minus ? value - other : value + other;
    }
    return value;
  }

  private product(): number | null {
    let value = this.part();
    while (value !== null && (this.next("*") || this.next("/"))) {
      const divides = this.tokens[this.at - 1] === "/";
      const other = this.part();
      value = other === null ? null : divides ? value / other : value * other;
    }
    return value;
  }

  private part(): number | null {
    if (this.next("-")) {
      const value = this.part();
      return value === null ? null : -value;
    }
    if (this.next("(")) {
      const value = this.sum();
      return this.next(")") ? value : null;
    }
    const token = this.tokens[this.at];
    if (token === undefined || !/^[\d.]/.test(token)) return null;
    this.at += 1;
    return Number(token);
  }

  private next(token: string): boolean {
    if (this.tokens[this.at] !== token) return false;
    this.at += 1;
    return true;
  }
}
