import type { MapSymbol } from "../api/types";

// A hint of a layer's symbol for lists; the map and the legend are drawn by the core.
export function Swatch({ symbol }: { symbol: MapSymbol }) {
  const stroke = symbol.strokes?.[symbol.strokes.length - 1];
  const under = symbol.strokes && symbol.strokes.length > 1 ? symbol.strokes[0] : undefined;
  return (
    <svg width={22} height={16} aria-hidden style={{ flexShrink: 0, background: "#f3eee2" }}>
      {symbol.fill && <rect x={1.5} y={3} width={19} height={10} fill={symbol.fill.colour} stroke={stroke?.colour ?? "none"} />}
      {!symbol.fill && under && <path d="M1 8h20" stroke={under.colour} strokeWidth={5} />}
      {!symbol.fill && stroke && <path d="M1 8h20" stroke={stroke.colour} strokeWidth={Math.min(Math.max((stroke.width_mm ?? 0.2) * 5, 1), 4)} strokeDasharray={stroke.dash_mm?.map((mm) => mm * 3).join(" ")} />}
      {symbol.marker && <circle cx={11} cy={8} r={4} fill={symbol.marker.colour} />}
    </svg>
  );
}
