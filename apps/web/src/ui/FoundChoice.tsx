/** One of any number: those of a long list are found by their names, and no more are shown than are looked through at a glance. */
import { useState } from 'react';
import { View } from 'react-native';
import { Choice, type ChoiceProps } from './Choice';
import { Search } from './Search';
import { FOUND_CHOICE } from './said';

const SHOWN_AT_MOST = 8;

export interface FoundChoiceProps extends ChoiceProps<string> {
  /** Stands at the end whatever is looked for. */
  none?: ChoiceProps<string>['options'][number];
}

export function FoundChoice({ options, none, ...choice }: FoundChoiceProps) {
  const [wanted, setWanted] = useState('');
  const { value, testID = '' } = choice;
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = options.filter(({ title, note = '' }) => words.every((word) => `${title} ${note}`.toLowerCase().includes(word)));
  const shown = [...new Set([...options.filter((option) => option.value === value), ...found])].slice(0, SHOWN_AT_MOST);
  return (
    <View>
      {options.length > SHOWN_AT_MOST && (
        <Search
          label={FOUND_CHOICE.findAmong(choice.label, options.length)}
          value={wanted}
          onChange={setWanted}
          hint={FOUND_CHOICE.wordsName}
          testID={`find-${testID}`}
        />
      )}
      <Choice {...choice} options={none ? [...shown, none] : shown} />
    </View>
  );
}
