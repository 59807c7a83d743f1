/** One figure to step or to type: minus, the figure, plus. What cannot be read is said under it. */
import type { Outcome } from '@torvin/core/problem';
import { type Figure, text } from '@torvin/core/units';
import { useRef, useState } from 'react';
import { TextInput, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, figureSize, fonts } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { STEPPER } from './said';

export interface StepperProps<T> {
  label: string;
  /** In full for who listens, where the label is short. */
  called?: string;
  shown: Figure;
  /** The same in the other unit, under it. */
  other?: Figure;
  /** Reads what was typed. */
  read(typed: string): Outcome<T>;
  stepped(direction: 1 | -1): T;
  /** As it stands, where a step may lead nowhere: at its end a button can not be pressed. */
  value?: T;
  onValue(value: T): void;
  testID: string;
}

/** Units that a figure turns into as it grows. */
const LARGER: readonly string[] = ['kg', 'lb'];

/** Rounding apart. */
const isSame = (one: unknown, other: unknown): boolean =>
  typeof one === 'number' && typeof other === 'number' ? Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(one)) : Object.is(one, other);

export function Stepper<T>({ label, called = label, shown, other, read, stepped, value, onValue, testID }: StepperProps<T>) {
  const { colours } = useTheme();
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  /** In the unit in which it was typed, whatever the studio changes to before it is taken. */
  const readAsTyped = useRef(read);
  const unitAsTyped = useRef(shown.unit);
  const type = (text: string): void => {
    if (typed === null) {
      readAsTyped.current = read;
      unitAsTyped.current = shown.unit;
    }
    setTyped(text);
  };

  const take = (): void => {
    if (typed === null) return;
    // A bare number is in the unit that stands beside it, also where that is the larger of two.
    const isBare = /^[\d\s.,/½¼¾⅛⅜⅝⅞-]+$/.test(typed);
    const outcome = readAsTyped.current(isBare && LARGER.includes(unitAsTyped.current) ? `${typed} ${unitAsTyped.current}` : typed);
    if (!outcome.ok) {
      setError(outcome.problem.message);
      return;
    }
    setTyped(null);
    setError(null);
    onValue(outcome.value);
  };
  const step = (direction: 1 | -1): void => {
    setTyped(null);
    setError(null);
    onValue(stepped(direction));
  };

  const ends = (direction: 1 | -1): boolean => value !== undefined && isSame(stepped(direction), value);

  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ width: 56 }}>
          <Words size="label" tone="muted">
            {label}
          </Words>
        </View>
        <Action kind="plain" title="−" label={STEPPER.less(called)} disabled={ends(-1)} testID={`${testID}-less`} onPress={() => step(-1)} />
        <TextInput
          value={typed ?? shown.figure}
          onChangeText={type}
          onBlur={take}
          onSubmitEditing={take}
          selectTextOnFocus
          aria-label={`${called}, ${shown.unit}`}
          aria-invalid={error !== null}
          testID={testID}
          style={{
            flex: 1,
            minWidth: 0,
            minHeight: TARGET,
            textAlign: 'center',
            fontFamily: fonts.figuresBold,
            fontSize: figureSize.medium,
            fontVariant: ['lining-nums', 'tabular-nums'],
            color: colours.ink,
            backgroundColor: colours.ground,
          }}
        />
        <View style={{ width: 48, paddingLeft: 6 }}>
          <Words size="label" tone="muted">
            {shown.unit}
          </Words>
        </View>
        <Action kind="plain" title="+" label={STEPPER.more(called)} disabled={ends(1)} testID={`${testID}-more`} onPress={() => step(1)} />
      </View>
      {other && error === null && (
        <Words size="note" tone="muted" style={{ textAlign: 'center', marginTop: -4 }} testID={`${testID}-other`}>
          {text(other)}
        </Words>
      )}
      {error !== null && (
        <Words size="label" bold tone="warn" role="alert" testID={`${testID}-error`}>
          {error}
        </Words>
      )}
    </View>
  );
}
