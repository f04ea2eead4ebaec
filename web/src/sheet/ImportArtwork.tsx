import { BringIn } from "./BringIn";

const isSvg = (file: File) => /\.svg$/i.test(file.name);

/** A file that becomes a drawing of the book's own, or a picture of pixels. */
export function ImportArtwork({
  title,
  label,
  onBrought,
}: {
  title: string;
  label: string;
  onBrought: (kind: "drawing" | "picture", id: string) => Promise<unknown>;
}) {
  return (
    <BringIn
      title={title}
      label={label}
      accept=".png,.jpg,.jpeg,.svg,image/png,image/jpeg,image/svg+xml"
      address={(file) => (isSvg(file) ? "markers" : "pictures")}
      onBrought={(id, file) => onBrought(isSvg(file) ? "drawing" : "picture", id)}
    />
  );
}
