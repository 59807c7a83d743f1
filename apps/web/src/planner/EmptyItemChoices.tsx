/** What is fired with no glass in it, how it stands, whether it is damp, and to which cone it goes. */
import type { RECIPES } from '@torvin/core/look';
import { SHELF_STANDS } from '@torvin/core/piece';
import { SETUP_NAMES, EMPTY_SETUPS } from '@torvin/core/schedule';
import { CONES, EMPTY_ITEM_NAMES } from '@torvin/core/emptyFiring';
import { Choice } from '@/ui/Choice';
import { capital } from '@/ui/capital';
import type { StepEntry } from './stepEntry';
import { EMPTY_ITEM_CHOICES } from './words';

export interface EmptyItemChoicesProps {
  entry: StepEntry;
  item: NonNullable<(typeof RECIPES)[StepEntry['look']]['empty']>;
  onChange(part: Partial<StepEntry>): void;
}

export function EmptyItemChoices({ entry, item, onChange }: EmptyItemChoicesProps) {
  return (
    <>
      {item.of.length > 1 && (
        <Choice
          label={EMPTY_ITEM_CHOICES.whatIsFired}
          value={entry.of}
          options={item.of.map((of) => ({ value: of, title: EMPTY_ITEM_NAMES[of] }))}
          onChange={(of) => onChange({ of })}
          testID="ware"
        />
      )}
      {item.toCone && (
        <Choice
          label={EMPTY_ITEM_CHOICES.toCone}
          value={entry.cone}
          options={CONES.map((cone) => ({ value: cone, title: cone }))}
          onChange={(cone) => onChange({ cone })}
          testID="cone"
        />
      )}
      <Choice
        label={EMPTY_ITEM_CHOICES.stands}
        value={entry.setup}
        options={EMPTY_SETUPS.map((kind) => ({ value: kind, title: entry.of === 'shelf' ? capital(SHELF_STANDS[kind] ?? '') : SETUP_NAMES[kind] }))}
        onChange={(setup) => onChange({ setup })}
        testID="setup"
      />
      {item.asksDamp && (
        <Choice
          label={EMPTY_ITEM_CHOICES.itIs}
          value={entry.wet === 'dry' ? 'dry' : 'damp'}
          options={[
            { value: 'dry', title: EMPTY_ITEM_CHOICES.dryTouch },
            { value: 'damp', title: EMPTY_ITEM_CHOICES.damp },
          ]}
          onChange={(wet) => onChange({ wet })}
          testID="wet"
        />
      )}
    </>
  );
}
