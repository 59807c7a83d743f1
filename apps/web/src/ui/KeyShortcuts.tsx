/** Listens for the keys of wide screens, and lists them on '?'. */
import KitDialog from '@rneui/themed/dist/Dialog';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { Tick } from './Tick';
import { SHORTCUTS, chordOf, isTyping, lettersAreOn, meaningOf, setLetters, useLetters } from './shortcuts';
import { KEY_SHORTCUTS, WORDS } from './said';

/** So long a first key waits for its second. */
const PAIR_MS = 1500;

const byTestId = (id: string): HTMLElement | null => [...document.querySelectorAll<HTMLElement>(`[data-testid="${id}"]`)].at(-1) ?? null;

export function KeyShortcuts() {
  const router = useRouter();
  const [listed, setListed] = useState(false);
  const last = useRef<{ key: string; at: number } | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      // A field takes back what was typed in it by itself.
      if (event.altKey || isTyping(event.target)) return;
      const isChord = event.ctrlKey || event.metaKey;
      // The list can be asked for all the same: the switch is in it.
      if (!isChord && !lettersAreOn() && event.key !== '?') return;
      const before = last.current && performance.now() - last.current.at < PAIR_MS ? last.current.key : null;
      const meaning = isChord ? chordOf(event.key, event.shiftKey) : meaningOf(event.key, before);
      last.current = isChord ? null : { key: event.key, at: performance.now() };
      if (!meaning) return;
      event.preventDefault();
      last.current = null;
      if ('go' in meaning) router.navigate(meaning.go);
      else if ('press' in meaning) byTestId(meaning.press)?.click();
      else if ('help' in meaning) setListed((now) => !now);
      else if (byTestId(meaning.focus)) byTestId(meaning.focus)?.focus();
      else router.navigate('/notebook');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  const letters = useLetters();
  const close = (): void => setListed(false);
  return (
    <KitDialog isVisible={listed} onBackdropPress={close} aria-label={KEY_SHORTCUTS.keys} testID="shortcuts">
      {SHORTCUTS.map(({ keys, does }) => (
        <View key={keys} style={{ flexDirection: 'row', gap: space.medium }}>
          <View style={{ width: 140 }}>
            <Words bold>{keys}</Words>
          </View>
          <Words>{does}</Words>
        </View>
      ))}
      <Tick on={letters} title={KEY_SHORTCUTS.singleLetterShortcuts} onPress={() => setLetters(!letters)} testID="letters" />
      <Action kind="plain" title={WORDS.close} testID="close-shortcuts" onPress={close} />
    </KitDialog>
  );
}
