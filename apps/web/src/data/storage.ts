/** What the browser keeps beside the page, as JSON. Where it keeps nothing, or something unreadable, there is nothing. */
export function readStored<T>(store: 'localStorage' | 'sessionStorage', key: string): T | null {
  try {
    return JSON.parse(window[store].getItem(key) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** null removes it. A store that is full or forbidden keeps nothing; the page itself still has it. */
export function writeStored(store: 'localStorage' | 'sessionStorage', key: string, value: unknown): void {
  try {
    if (value === null) window[store].removeItem(key);
    else window[store].setItem(key, JSON.stringify(value));
  } catch {
    return;
  }
}

/** The keys that begin so. */
export function storedKeys(prefix: string): string[] {
  try {
    return Object.keys(window.localStorage).filter((key) => key.startsWith(prefix));
  } catch {
    return [];
  }
}
