/** 'Deleted. Bring it back': one line at the bottom after something was deleted, until it is brought back or put away. */
import { told, useTold } from '@/outside/told';
import { Action } from './Action';
import { BottomLine } from './BottomLine';
import { TAKE_BACK, UNDO_BAR } from './said';

interface Offer {
  what: string;
  /** It was changed, not deleted. */
  undoes?: true;
  bringBack(): void;
}

const offer = told<Offer | null>(null);
export const offerBack = offer.set;

export function TakeBackBar() {
  const current = useTold(offer);
  if (!current) return null;
  const bringBack = (): void => {
    current.bringBack();
    offerBack(null);
  };
  return (
    <BottomLine
      testID="take-back"
      actions={
        <>
          <Action kind="plain" title={current.undoes ? UNDO_BAR.undo : TAKE_BACK.bringBack} testID="bring-back" onPress={bringBack} />
          <Action kind="plain" title="×" label={TAKE_BACK.leaveItSo} onPress={() => offerBack(null)} />
        </>
      }
    >
      {current.what}
    </BottomLine>
  );
}
