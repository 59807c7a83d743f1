/** Someone, or another tab, saved first: both states are shown and the person chooses. */
import { footprintWords } from '@torvin/core/body';
import { laidLayers } from '@torvin/core/piece';
import type { Piece } from '@torvin/schema';
import { useUnits } from '@/data/FormUnits';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { layersWords } from '@/layup/describe';
import { STALE_CHOICE, WORDS } from '@/ui/said';

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
          <Action kind="second" title={STALE_CHOICE.takeSavedOne} testID="take-theirs" onPress={onTakeTheirs} />
          <Action title={WORDS.saveMineOver} testID="keep-mine" onPress={onKeepMine} />
        </>
      }
    >
      {STALE_CHOICE.pieceChangedElsewhere(current.name, footprintWords(current.doc.footprint, units.length), layersWords(laidLayers(current.doc).length), mine)}
    </Notice>
  );
}
