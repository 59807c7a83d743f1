/** Listens for the keys of a keyboard. */
import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { openShared } from './shared';
import { chordOf, isTyping, lettersAreOn, meaningOf } from './shortcuts';

/** So long a first key waits for its second. */
const PAIR_MS = 1500;

const byTestId = (id: string): HTMLElement | null => [...document.querySelectorAll<HTMLElement>(`[data-testid="${id}"]`)].at(-1) ?? null;

export function KeyShortcuts() {
  const router = useRouter();
  const last = useRef<{ key: string; at: number } | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      // A field takes back what was typed in it by itself.
      if (event.altKey || isTyping(event.target)) return;
      const isChord = event.ctrlKey || event.metaKey;
      // Help can be asked for all the same: the switch is in it.
      if (!isChord && !lettersAreOn() && event.key !== '?') return;
      const before = last.current && performance.now() - last.current.at < PAIR_MS ? last.current.key : null;
      const meaning = isChord ? chordOf(event.key, event.shiftKey) : meaningOf(event.key, before);
      last.current = isChord ? null : { key: event.key, at: performance.now() };
      if (!meaning) return;
      event.preventDefault();
      last.current = null;
      if ('go' in meaning) router.navigate(meaning.go);
      else if ('press' in meaning) byTestId(meaning.press)?.click();
      else openShared(meaning.open);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  return null;
}
