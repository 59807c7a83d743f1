/** What the browser keeps beside the page, as JSON. Where it keeps nothing, or something unreadable, there is nothing. */
type Store = 'localStorage' | 'sessionStorage';

export function readStored<T>(store: Store, key: string): T | null {
  try {
    return JSON.parse(window[store].getItem(key) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** False where the store is full or forbidden: it has kept what it had. */
export function writeStored(store: Store, key: string, value: unknown): boolean {
  try {
    window[store].setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

export function removeStored(store: Store, key: string): boolean {
  try {
    window[store].removeItem(key);
    return true;
  } catch {
    return false;
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
