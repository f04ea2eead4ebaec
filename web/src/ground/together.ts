import { besideEndings, pixelEndings } from "../generated/kinds";

// A file on its way in with those that belong to it.
export interface Sent {
  file: File;
  beside: File[];
}

const ending = (name: string) => (/\.aux\.xml$/i.exec(name)?.[0] ?? /\.[^.]*$/.exec(name)?.[0] ?? "").toLowerCase();
const stem = (name: string) => name.slice(0, name.length - ending(name).length).toLowerCase();

export const isPixels = (file: File) => (pixelEndings as readonly string[]).includes(ending(file.name));

const isBeside = (file: File) =>
  ending(file.name) === ".aux.xml" || (besideEndings as readonly string[]).includes(ending(file.name));

/** What tells where a picture lies goes along with it: the same name, another ending. */
export function together(files: File[]): Sent[] {
  const pictures = files.filter(isPixels);
  const places = files.filter((file) => !isPixels(file) && isBeside(file));
  const owner = (place: File) =>
    pictures.find((known) => [stem(known.name), known.name.toLowerCase()].includes(stem(place.name)));
  return files
    .filter((file) => !places.includes(file) || !owner(file))
    .map((file) => ({ file, beside: places.filter((place) => owner(place) === file) }));
}

/** Several pictures as one. */
export function asOne(sent: Sent[]): Sent {
  const [first, ...others] = sent;
  return { file: first!.file, beside: [...first!.beside, ...others.flatMap((known) => [known.file, ...known.beside])] };
}
