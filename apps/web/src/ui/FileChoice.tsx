/** A button that asks the device for files. */
import { createElement, useRef } from 'react';
import { View } from 'react-native';
import { Action, type ActionProps } from './Action';

interface FileChoiceProps extends Omit<ActionProps, 'onPress'> {
  /** What the device offers: endings and media types, between commas. */
  accept: string;
  multiple?: boolean;
  /** Asks for a new picture, where the device has a camera. */
  camera?: boolean;
  /** What a press does instead of asking the device. */
  instead?(): void;
  onFiles(files: File[]): void;
}

export function FileChoice({ accept, multiple = false, camera = false, instead, onFiles, testID, ...action }: FileChoiceProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <View>
      <Action {...action} testID={testID} onPress={instead ?? (() => input.current?.click())} />
      {createElement('input', {
        ref: input,
        type: 'file',
        accept,
        multiple,
        ...(camera ? { capture: 'environment' } : {}),
        hidden: true,
        'data-testid': `${testID}-input`,
        onChange: (event: { target: HTMLInputElement }) => {
          const files = [...(event.target.files ?? [])];
          if (files.length > 0) onFiles(files);
          event.target.value = '';
        },
      })}
    </View>
  );
}
