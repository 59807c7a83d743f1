/** What the page asked for before the app was there (public/early.js). */
declare global {
  interface Window {
    torvinEarly?: Map<string, Promise<Response>>;
  }
}

/** After that it is asked for anew: a page may have lain in the background since. */
const GOOD_FOR_MS = 10_000;

/** Once each; undefined where it was not asked, or is of long ago. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const asked = window.torvinEarly;
  const answer = performance.now() < GOOD_FOR_MS ? asked?.get(path) : undefined;
  asked?.delete(path);
  return answer;
}

export const wasAskedEarly = (path: string): boolean => window.torvinEarly?.has(path) ?? false;
