import { t } from "../texts/t";

/** What the server says is wrong: a sentence, and the path of the offending value. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly path?: string,
    readonly status?: number,
    readonly choices?: { text: string; says: string }[],
  ) {
    super(message);
  }
}

async function answer<T>(response: Response): Promise<T> {
  const text = await response.text();
  let body: unknown;
  try {
    body = text ? JSON.parse(text) : null;
  } catch {
    throw new Refusal(t("The server answered in a way that could not be read."), undefined, response.status);
  }
  if (response.ok) return body as T;
  const refusal = body as { message?: string; path?: string; choices?: { text: string; says: string }[] } | null;
  throw new Refusal(
    refusal?.message ?? t("The server refused (%{status}).", { status: response.status }),
    refusal?.path,
    response.status,
    refusal?.choices,
  );
}

// Which browser this is, so that undo takes back its own changes.
const SESSION = (() => {
  const made = () =>
    Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, "0")).join("");
  try {
    const known = localStorage.getItem("session") ?? made();
    localStorage.setItem("session", known);
    return known;
  } catch {
    // A browser that keeps nothing has a session for as long as the page is open.
    return made();
  }
})();

async function send(path: string, init?: RequestInit): Promise<Response> {
  try {
    return await fetch(path, { ...init, headers: { ...init?.headers, "x-session": SESSION } });
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") throw error;
    throw new Refusal(t("The server does not answer; is it still running?"));
  }
}

/** Asks the server for JSON; throws a Refusal with the server’s sentence. */
export async function get<T>(path: string, signal?: AbortSignal): Promise<T> {
  return answer<T>(await send(path, { signal }));
}

/** Asks the server for a text; throws a Refusal with the server’s sentence. */
export async function getText(path: string, signal?: AbortSignal): Promise<string> {
  const response = await send(path, { signal });
  if (!response.ok) return answer<string>(response);
  return response.text();
}

/** revision: of the book that the browser has; the answer is what is another after the change. */
export async function post<T>(
  path: string,
  body: unknown,
  { method = "POST", signal, revision }: { method?: string; signal?: AbortSignal; revision?: number } = {},
): Promise<T> {
  const headers = {
    "content-type": "application/json",
    ...(revision !== undefined && { "x-revision": `${revision}` }),
  };
  return answer<T>(await send(path, { method, headers, body: JSON.stringify(body), signal }));
}

/** beside: files that belong to it. */
export async function upload<T>(
  path: string,
  file: File,
  fields: Record<string, string> = {},
  beside: File[] = [],
): Promise<T> {
  const form = new FormData();
  form.append("file", file);
  for (const [name, value] of Object.entries(fields)) form.append(name, value);
  for (const other of beside) form.append("beside[]", other);
  return answer<T>(await send(path, { method: "POST", body: form }));
}

/** A file's own text as the body: a book that went out as one file. */
export async function sendFile<T>(path: string, file: File): Promise<T> {
  return answer<T>(await send(path, { method: "POST", headers: { "content-type": "application/json" }, body: file }));
}
