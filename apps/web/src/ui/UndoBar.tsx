/** Undo and redo, at hand on every view of a piece; each says what it would take back. */
import { memo, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { Action } from './Action';
import { isWide, useLayout } from './useWidth';
import { UNDO_BAR } from './said';

/** undo and redo: what each would take back or do again; null where there is nothing. */
export interface Undoing {
  undo: string | null;
  redo: string | null;
  goBack(): void;
  goForth(): void;
}

export function UndoBar({ layup }: { layup: Undoing }) {
  const now = useRef(layup);
  now.current = layup;
  const way = useMemo(() => ({ back: () => now.current.goBack(), forth: () => now.current.goForth() }), []);
  return <UndoButtons undo={layup.undo} redo={layup.redo} onBack={way.back} onForth={way.forth} />;
}

const WORDS_AT_MOST_PX = 190;

/** Rests while a bead moves. Wide, two of these can stand side by side: each says in words what it takes back. */
const UndoButtons = memo(function UndoButtons({ undo, redo, onBack, onForth }: Pick<Undoing, 'undo' | 'redo'> & { onBack(): void; onForth(): void }) {
  const inWords = isWide(useLayout());
  const button = (name: string, what: string | null, onPress: () => void) => {
    const label = what === null ? name : `${name}: ${what}`;
    return (
      <View style={{ flexShrink: 1, maxWidth: WORDS_AT_MOST_PX }}>
        <Action kind="plain" oneLine title={inWords ? label : name} label={label} disabled={what === null} testID={name.toLowerCase()} onPress={onPress} />
      </View>
    );
  };
  return (
    <>
      {button(UNDO_BAR.undo, undo, onBack)}
      {redo !== null && button(UNDO_BAR.redo, redo, onForth)}
    </>
  );
});
