/** Someone, or another tab, saved first: both states are shown and the person chooses. */
import { footprintWords } from '@torvin/core/body';
import { laidLayers } from '@torvin/core/piece';
import type { Piece } from '@torvin/schema';
import { useUnits } from '@/data/FormUnits';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { layersWords } from '@/layup/describe';

export interface StaleChoiceProps {
  /** As it stands on the server. */
  current: Piece;
  /** In a few words, what would be saved instead. */
  mine: string;
  onTakeTheirs(): void;
  onKeepMine(): void;
}

export function StaleChoice({ current, mine, onTakeTheirs, onKeepMine }: StaleChoiceProps) {
  const units = useUnits();
  return (
    <Notice
      tone="warn"
      testID="stale-choice"
      actions={
        <>
          <Action kind="second" title="Take the saved one" testID="take-theirs" onPress={onTakeTheirs} />
          <Action title="Save mine over it" testID="keep-mine" onPress={onKeepMine} />
        </>
      }
    >
      {`This piece was changed elsewhere meanwhile. Saved now: ${current.name}, ${footprintWords(current.doc.footprint, units.length)}, ${layersWords(laidLayers(current.doc).length)}. Yours, not yet saved: ${mine}.`}
    </Notice>
  );
}
