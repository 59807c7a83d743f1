/** Undo and redo, at hand on every view of a piece; each says what it would take back. */
import { memo, useMemo, useRef } from 'react';
import { Action } from '@/ui/Action';
import type { Layup } from './useLayup';

type Undoing = Pick<Layup, 'undo' | 'redo' | 'goBack' | 'goForth'>;

export function UndoBar({ layup }: { layup: Undoing }) {
  const now = useRef(layup);
  now.current = layup;
  const way = useMemo(() => ({ back: () => now.current.goBack(), forth: () => now.current.goForth() }), []);
  return <UndoButtons undo={layup.undo} redo={layup.redo} onBack={way.back} onForth={way.forth} />;
}

/** Rests while a bead moves. */
const UndoButtons = memo(function UndoButtons({ undo, redo, onBack, onForth }: Pick<Undoing, 'undo' | 'redo'> & { onBack(): void; onForth(): void }) {
  return (
    <>
      <Action kind="plain" title="Undo" label={undo === null ? 'Undo' : `Undo: ${undo}`} disabled={undo === null} testID="undo" onPress={onBack} />
      <Action kind="plain" title="Redo" label={redo === null ? 'Redo' : `Redo: ${redo}`} disabled={redo === null} testID="redo" onPress={onForth} />
    </>
  );
});
