/** 'You began this and did not save it': go on with it, or not. */
import { format } from 'date-fns/format';
import type { Drafting } from '@/outbox/drafts';
import { Action } from './Action';
import { Notice } from './Notice';

export interface DraftOfferProps<T> {
  draft: Drafting<T>;
  onTake(values: T): void;
  /** What was begun, where that is not plain. */
  what?: (values: T) => string;
  /** What going on, and not, are called. */
  titles?: { take: string; leave: string };
}

export function DraftOffer<T>({ draft, onTake, what, titles }: DraftOfferProps<T>) {
  const { offered, decide } = draft;
  if (!offered) return null;
  return (
    <Notice
      tone="plain"
      testID="draft"
      actions={
        <>
          <Action
            kind="second"
            title={titles?.take ?? 'Go on with it'}
            testID="take-draft"
            onPress={() => {
              onTake(offered.values);
              decide();
            }}
          />
          <Action kind="plain" title={titles?.leave ?? 'Throw it away'} testID="drop-draft" onPress={decide} />
        </>
      }
    >
      {`${what?.(offered.values) ?? 'Something was entered here and not saved'}, ${format(offered.at, 'd MMMM, HH:mm')}.`}
    </Notice>
  );
}
