/** A typed field with its label, what is wrong with it, and what would be right. */
import KitInput from '@rneui/themed/dist/Input';
import type { KeyboardTypeOptions } from 'react-native';
import { View } from 'react-native';
import { useFormUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH } from '@/theme/theme';
import { Words } from './Words';

export interface FieldProps {
  label: string;
  value: string;
  onChange(text: string): void;
  onBlur?(): void;
  onSubmit?(): void;
  error?: string;
  /** What is wrong is said by whoever shows it, where it has more room. */
  errorBelow?: boolean;
  hint?: string;
  multiline?: boolean;
  keyboard?: KeyboardTypeOptions;
  testID?: string;
}

export function Field({ label, value, onChange, onBlur, onSubmit, error, errorBelow = false, hint, multiline, keyboard, testID }: FieldProps) {
  const { colours } = useTheme();
  const form = useFormUnits();
  return (
    <View style={{ flexGrow: 1, flexShrink: 1, minWidth: 0, maxWidth: COLUMN_WIDTH }}>
      <KitInput
        label={label}
        accessibilityLabel={error ? `${label}. ${error}` : label}
        value={value}
        onChangeText={(text) => {
          form?.touch();
          onChange(text);
        }}
        onBlur={onBlur}
        onSubmitEditing={onSubmit}
        multiline={multiline}
        keyboardType={keyboard}
        testID={testID}
        renderErrorMessage={false}
        inputContainerStyle={{ borderBottomColor: error ? colours.warn : colours.muted }}
      />
      {error && !errorBelow ? (
        <Words size="label" bold tone="warn" role="alert" testID={testID ? `${testID}-error` : undefined}>
          {error}
        </Words>
      ) : (
        hint && (
          <Words size="note" tone="muted">
            {hint}
          </Words>
        )
      )}
    </View>
  );
}
