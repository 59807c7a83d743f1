/** 'You began this and did not save it': go on with it, or not. */
import { format } from 'date-fns/format';
import { useEffect } from 'react';
import { isSameUnits, useFormUnits } from '@/data/FormUnits';
import type { Drafting } from '@/data/useDraft';
import { Action } from './Action';
import { Notice } from './Notice';
import { DRAFT_OFFER } from './said';

export interface DraftOfferProps<T> {
  draft: Drafting<T>;
  /** base: what the form had been filled from, where it told. */
  onTake(values: T, base: unknown): void;
  /** What was begun, where that is not plain. */
  what?: (values: T) => string;
  /** What going on, and not, are called. */
  titles?: { take: string; leave: string };
}

export function DraftOffer<T>({ draft, onTake, what, titles }: DraftOfferProps<T>) {
  const { offered, decide } = draft;
  const form = useFormUnits();
  const isFilledAgain = form?.adopting === true;
  const take = (): void => {
    if (!offered) return;
    onTake(offered.values, offered.base);
    decide();
  };
  useEffect(() => {
    if (!isFilledAgain) return;
    form.adopted();
    take();
    // Once, in the form that has just been filled in the draft's units.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isFilledAgain]);
  if (!offered) return null;
  return (
    <Notice
      tone="plain"
      testID="draft"
      actions={
        <>
          <Action
            kind="second"
            title={titles?.take ?? DRAFT_OFFER.goOnWith}
            testID="take-draft"
            onPress={() => (form && offered.units && !isSameUnits(form.units, offered.units) ? form.adopt(offered.units) : take())}
          />
          <Action kind="plain" title={titles?.leave ?? DRAFT_OFFER.throwItAway} testID="drop-draft" onPress={decide} />
        </>
      }
    >
      {`${what?.(offered.values) ?? DRAFT_OFFER.somethingEnteredNot}, ${format(offered.at, 'd MMMM, HH:mm')}.`}
    </Notice>
  );
}
