/** What was changed here was deleted elsewhere meanwhile: it comes back with the change, or both are given up. */
import { Action } from './Action';
import { Notice } from './Notice';

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
          <Action title="Bring it back with mine" testID="bring-back-mine" onPress={onBringBack} />
          <Action kind="second" title="Let mine go" testID="let-mine-go" onPress={onLeave} />
        </>
      }
    >
      {`This ${what} was deleted elsewhere meanwhile, and your change of it is not saved.`}
    </Notice>
  );
}
