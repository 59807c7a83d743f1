/** What another device sees of a studio before it has given the passcode. */
import { api } from '@torvin/schema';
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

const COARSE = '(pointer: coarse)';
const usualName = (): string => (window.matchMedia?.(COARSE).matches ? 'Phone' : 'Computer');

export function EnterPasscode() {
  const [passcode, setPasscode] = useState('');
  const [device, setDevice] = useState(usualName);
  const enter = useMutation({
    mutationFn: () => call(api.enter, { body: { passcode, device: device.trim() || usualName() } }),
    onSuccess: letIn,
  });
  const waiting = useEntries().length;
  const send = (): void => enter.mutate();
  return (
    <Screen title="Torvin" subtitle="a studio in this network">
      <View style={{ gap: space.large, maxWidth: 420 }} testID="enter">
        <Words>
          Each device is asked once for the passcode of this studio. It was shown where Torvin was started, beside a link that lets in a browser on that
          computer.
        </Words>
        {waiting > 0 && (
          <Words testID="waits-for-passcode">{`${waiting === 1 ? 'One change made here waits' : `${waiting} changes made here wait`} for it, kept in this browser.`}</Words>
        )}
        <Field
          label="Passcode"
          value={passcode}
          onChange={(typed) => {
            enter.reset();
            setPasscode(typed);
          }}
          onSubmit={send}
          error={enter.error ? problemOfError(enter.error).message : undefined}
          hint="capital letters, spaces and hyphens do not matter"
          testID="passcode"
        />
        <Field label="Name of this device" value={device} onChange={setDevice} onSubmit={send} hint="as listed on Shelves" testID="device-name" />
        <Action
          title={enter.isPending ? 'Looking …' : 'Let this device in'}
          disabled={enter.isPending || passcode.trim() === ''}
          testID="enter-passcode"
          onPress={send}
        />
      </View>
    </Screen>
  );
}
