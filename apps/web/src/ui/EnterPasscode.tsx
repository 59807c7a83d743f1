/** What another device sees of a studio before it has given the passcode. */
import { asks } from '@torvin/schema';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { call, problemOfError } from '@/outside/client';
import { useEntries } from '@/outbox/useOutbox';
import { letIn } from '@/outside/connection';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Field } from './Field';
import { Screen } from './Screen';
import { Words } from './Words';
import { ENTER_PASSCODE } from './said';

const COARSE = '(pointer: coarse)';
const usualName = (): string => (window.matchMedia?.(COARSE).matches ? ENTER_PASSCODE.phone : ENTER_PASSCODE.computer);

export function EnterPasscode() {
  const [passcode, setPasscode] = useState('');
  const [device, setDevice] = useState(usualName);
  const enter = useMutation({
    mutationFn: () => call(asks.enter, { body: { passcode, device: device.trim() || usualName() } }),
    onSuccess: letIn,
  });
  const waiting = useEntries().length;
  const send = (): void => enter.mutate();
  return (
    <Screen title={ENTER_PASSCODE.torvin} subtitle={ENTER_PASSCODE.studioNetwork}>
      <View style={{ gap: space.large, maxWidth: 420 }} testID="enter">
        <Words>{ENTER_PASSCODE.eachDeviceAsked}</Words>
        {waiting > 0 && <Words testID="waits-for-passcode">{ENTER_PASSCODE.keptBrowser(waiting)}</Words>}
        <Field
          label={ENTER_PASSCODE.passcode}
          value={passcode}
          onChange={(typed) => {
            enter.reset();
            setPasscode(typed);
          }}
          onSubmit={send}
          error={enter.error ? problemOfError(enter.error).message : undefined}
          hint={ENTER_PASSCODE.capitalLettersSpaces}
          testID="passcode"
        />
        <Field label={ENTER_PASSCODE.nameDevice} value={device} onChange={setDevice} onSubmit={send} hint={ENTER_PASSCODE.listedShelves} testID="device-name" />
        <Action
          title={enter.isPending ? ENTER_PASSCODE.looking : ENTER_PASSCODE.letDevice}
          disabled={enter.isPending || passcode.trim() === ''}
          testID="enter-passcode"
          onPress={send}
        />
      </View>
    </Screen>
  );
}
