const DOUBLES_PER_PAGE = 65536 / 8;
/** A simulation has three of one kind at the most: the body and two columns. */
const KEPT_AT_MOST = 4;

/** What a compiled text exports, over one memory of its own. */
export type Room<Exports> = Exports & { readonly doubles: Float64Array };

export interface Rooms<Exports> {
  /** A memory of at least so many doubles, in which the last one's figures may still stand; null where there is no WebAssembly or no memory left. */
  take(doubles: number): Room<Exports> | null;
  giveBack(room: Room<Exports>): void;
}

/**
 * The rooms of one compiled text (hexadecimal) that imports its memory as env.memory, and what `imports` has besides. Memories are kept for the
 * next one, because making one costs as much as some hundred steps.
 */
export function compiledRooms<Exports extends object>(text: string, imports: WebAssembly.Imports = {}): Rooms<Exports> {
  const kept: Room<Exports>[] = [];
  let compiled: WebAssembly.Module | null | undefined;
  return {
    take(doubles) {
      const fits = kept.findIndex((room) => room.doubles.length >= doubles);
      if (fits >= 0) return kept.splice(fits, 1)[0];
      compiled ??= compile(text);
      if (compiled === null) return null;
      try {
        const memory = new WebAssembly.Memory({ initial: Math.ceil(doubles / DOUBLES_PER_PAGE) });
        const { exports } = new WebAssembly.Instance(compiled, { ...imports, env: { memory } });
        // WebAssembly knows its exports by name alone; the text that was compiled has these.
        // eslint-disable-next-line no-restricted-syntax -- nothing tells a compiled text's own types
        return { ...(exports as unknown as Exports), doubles: new Float64Array(memory.buffer) };
      } catch {
        // A machine that has no room left for another memory: the caller does it without.
        return null;
      }
    },
    giveBack(room) {
      if (kept.length < KEPT_AT_MOST) kept.push(room);
    },
  };
}

function compile(text: string): WebAssembly.Module | null {
  try {
    return new WebAssembly.Module(Uint8Array.from({ length: text.length / 2 }, (_, i) => parseInt(text.slice(2 * i, 2 * i + 2), 16)));
  } catch {
    // Not there, or forbidden by the page's policy: the caller does it without.
    return null;
  }
}
