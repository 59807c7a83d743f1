/** Has the browser fetch a file of the server's and keep it, of whatever size. */
export const downloadFrom = (url: string): void => clicked(url, '');

/** Hands a file to the browser to keep. */
export function download(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  clicked(url, name);
  // The browser has taken it by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

function clicked(url: string, name: string): void {
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
}
