import { Button, Typography } from "@mui/material";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useBook } from "../api/book";
import { upload } from "../api/client";
import type { Book } from "../api/types";
import { FileInput } from "../fields/FileInput";
import { t } from "../texts/t";

interface BringInProps {
  title: string;
  label: string;
  accept: string;
  // Where a file goes, below the book's address.
  address: (file: File) => string;
  onBrought: (id: string, file: File) => Promise<unknown>;
}

/** A button that takes a file into the book, and what was wrong with it. */
export function BringIn({ title, label, accept, address, onBrought }: BringInProps) {
  const book = useBook();
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [notice, setNotice] = useState<string | null>(null);
  const [brought, setBrought] = useState<{ id: string; file: File; revision: number } | null>(null);
  // What follows is a change of the book with the file in it: it waits until this card has been told of that book.
  useEffect(() => {
    if (!brought || book.revision < brought.revision) return;
    setBrought(null);
    onBrought(brought.id, brought.file).catch((error: Error) => setNotice(error.message));
  }, [brought, book.revision, onBrought]);
  const bring = async (file: File | undefined) => {
    if (!file) return;
    setNotice(null);
    try {
      const made = await upload<{ id: string; left_out?: string[]; book: Book }>(
        `/api/books/${book.id}/${address(file)}`,
        file,
      );
      client.setQueryData(["book", book.id], made.book);
      if (made.left_out?.length) setNotice(t("Not imported: %{value}.", { value: made.left_out.join(", ") }));
      setBrought({ id: made.id, file, revision: made.book.revision });
    } catch (error) {
      setNotice((error as Error).message);
    }
  };
  return (
    <>
      <FileInput ref={input} label={label} accept={accept} onFiles={([file]) => void bring(file)} />
      <Button sx={{ justifySelf: "start" }} onClick={() => input.current?.click()}>
        {title}
      </Button>
      {notice && (
        <Typography role="alert" sx={{ fontSize: 12.5, color: "warning.main" }}>
          {notice}
        </Typography>
      )}
    </>
  );
}
