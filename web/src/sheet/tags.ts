/** Plain text as it is written among tags, and what is left of a text without its tags. */
export const escaped = (text: string) => text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;");

export const plain = (text: string) =>
  text
    .replace(/<\/?(?:b|i|u|s|sup|sub|span|p|br|ul|ol|li)\b[^<>]*>/g, "")
    .replaceAll("&lt;", "<")
    .replaceAll("&gt;", ">")
    .replaceAll("&amp;", "&");
