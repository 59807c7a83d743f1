/** What is fired with no glass in it, how it stands, whether it is damp, and to which cone it goes. */
import type { RECIPES } from '@torvin/core/look';
import { SHELF_STANDS } from '@torvin/core/piece';
import { SETUP_NAMES, EMPTY_SETUPS } from '@torvin/core/schedule';
import { CONES, EMPTY_ITEM_NAMES } from '@torvin/core/emptyFiring';
import { Choice } from '@/ui/Choice';
import { capital } from '@/ui/capital';
import type { StepEntry } from './stepEntry';

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
          label="What is fired"
          value={entry.of}
          options={item.of.map((of) => ({ value: of, title: EMPTY_ITEM_NAMES[of] }))}
          onChange={(of) => onChange({ of })}
          testID="ware"
        />
      )}
      {item.toCone && (
        <Choice
          label="To cone"
          value={entry.cone}
          options={CONES.map((cone) => ({ value: cone, title: cone }))}
          onChange={(cone) => onChange({ cone })}
          testID="cone"
        />
      )}
      <Choice
        label="Stands"
        value={entry.setup}
        options={EMPTY_SETUPS.map((kind) => ({ value: kind, title: entry.of === 'shelf' ? capital(SHELF_STANDS[kind] ?? '') : SETUP_NAMES[kind] }))}
        onChange={(setup) => onChange({ setup })}
        testID="setup"
      />
      {item.asksDamp && (
        <Choice
          label="It is"
          value={entry.wet === 'dry' ? 'dry' : 'damp'}
          options={[
            { value: 'dry', title: 'Dry to the touch' },
            { value: 'damp', title: 'Damp' },
          ]}
          onChange={(wet) => onChange({ wet })}
          testID="wet"
        />
      )}
    </>
  );
}
