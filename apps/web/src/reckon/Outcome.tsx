/** Under the fields of every sheet: what is still to be told, the answer with its drawing, and what can be done with it. */
import type { QuantityName, ToldQuantity } from '@torvin/core/quantity';
import type { ReactNode } from 'react';
import { PutOrKeep, type Puts } from './PutOrKeep';
import { StillMissing, ToldAnswer } from './ToldAnswer';
import type { Typed } from './typed';
import type { Where } from './useWhere';

export interface OutcomeProps {
  kind: QuantityName;
  typed: Typed;
  missing: readonly string[];
  /** Null while there is none. */
  told: ToldQuantity | null;
  /** It is of what was typed before. */
  stale: boolean;
  puts: Puts | null;
  where: Where | null;
  onPut(): void;
  /** Asked between the answer and what can be done with it. */
  asked?: ReactNode;
  /** Its drawing. */
  children?: ReactNode;
}

export function Outcome({ missing, told, stale, asked, children, ...doing }: OutcomeProps) {
  return (
    <>
      <StillMissing missing={missing} />
      {told && (
        <>
          <ToldAnswer told={told} stale={stale}>
            {children}
          </ToldAnswer>
          {asked}
          <PutOrKeep told={told.short} stale={stale} {...doing} />
        </>
      )}
    </>
  );
}
