/** Hands a file to the browser to keep. */
export function download(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken it by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file name of a piece's name: small letters, figures, hyphens. */
export const fileName = (words: string, ending: string): string =>
  `${
    words
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'torvin'
  }.${ending}`;
