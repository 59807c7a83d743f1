/** Undo and redo, at hand on every view of a piece; each says what it would take back. */
import { Action } from '@/ui/Action';
import type { Layup } from './useLayup';

export function UndoBar({ layup }: { layup: Pick<Layup, 'undo' | 'redo' | 'goBack' | 'goForth'> }) {
  const { undo, redo, goBack, goForth } = layup;
  return (
    <>
      <Action kind="plain" title="Undo" label={undo === null ? 'Undo' : `Undo: ${undo}`} disabled={undo === null} testID="undo" onPress={goBack} />
      <Action kind="plain" title="Redo" label={redo === null ? 'Redo' : `Redo: ${redo}`} disabled={redo === null} testID="redo" onPress={goForth} />
    </>
  );
}
