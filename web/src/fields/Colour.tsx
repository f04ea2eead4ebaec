/** A colour; it is passed on when the picker is left. */
export function Colour({
  label,
  value,
  onSave,
}: {
  label: string;
  value: string;
  onSave: (colour: string) => Promise<unknown>;
}) {
  return (
    <input
      type="color"
      aria-label={label}
      key={value}
      defaultValue={value}
      onBlur={(event) => {
        if (event.target.value !== value) void onSave(event.target.value);
      }}
      style={{ width: 38, height: 30, padding: 0, border: "1px solid #8887", background: "none", flexShrink: 0 }}
    />
  );
}
