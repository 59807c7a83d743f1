/** What was changed here was deleted elsewhere meanwhile: it comes back with the change, or both are given up. */
import { Action } from './Action';
import { Notice } from './Notice';
import { GONE_CHOICE, WORDS } from './said';

export interface GoneChoiceProps {
  /** 'piece', 'glass'. */
  what: string;
  onBringBack(): void;
  onLeave(): void;
}

export function GoneChoice({ what, onBringBack, onLeave }: GoneChoiceProps) {
  return (
    <Notice
      tone="warn"
      testID="gone-choice"
      actions={
        <>
          <Action title={GONE_CHOICE.bringBackMine} testID="bring-back-mine" onPress={onBringBack} />
          <Action kind="second" title={WORDS.letMineGo} testID="let-mine-go" onPress={onLeave} />
        </>
      }
    >
      {GONE_CHOICE.deletedElsewhereMeanwhile(what)}
    </Notice>
  );
}
