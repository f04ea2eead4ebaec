import type { Ref } from "react";

/** Files from the reader's own machine: a hidden field, which a button opens by its ref. */
export function FileInput({
  ref,
  label,
  accept,
  multiple,
  onFiles,
}: {
  ref: Ref<HTMLInputElement>;
  label: string;
  // Endings or types, with commas between.
  accept?: string;
  multiple?: boolean;
  onFiles: (files: File[]) => void;
}) {
  return (
    <input
      ref={ref}
      type="file"
      hidden
      multiple={multiple}
      accept={accept}
      aria-label={label}
      onChange={(event) => {
        const files = [...(event.target.files ?? [])];
        // So that the same file can be chosen again.
        event.target.value = "";
        onFiles(files);
      }}
    />
  );
}
