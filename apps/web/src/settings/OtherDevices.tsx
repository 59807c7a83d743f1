/** How a phone opens this studio, the passcode it is asked for, and which devices have been let in. */
import { type AccessTold, PASSCODE_LETTERS, asks, plainPasscode } from '@torvin/schema';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { call, problemOfError } from '@/outside/client';
import { keys } from '@/outside/keys';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { dayAndClock } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import { OTHER_DEVICES } from './words';

const QR_PX = 200;

export function OtherDevices() {
  const { data } = useQuery({ queryKey: keys.access, queryFn: ({ signal }) => call(asks.access, { signal }) });
  if (!data) return null;
  const [first, ...others] = data.addresses;
  return (
    <View style={{ gap: space.small }} testID="other-devices">
      {first ? (
        <>
          <Words size="label" tone="muted">
            {OTHER_DEVICES.pointCameraType}
          </Words>
          <Address {...first} />
          <Fold title={OTHER_DEVICES.doesNotOpen} about={OTHER_DEVICES.whatLook} testID="does-not-open">
            {() => (
              <View style={{ gap: space.small }}>
                <Words>{OTHER_DEVICES.phoneSameNetwork}</Words>
                {others.length > 0 && <Words>{OTHER_DEVICES.computerOtherAddresses}</Words>}
                {others.map((address) => (
                  <Address key={address.url} {...address} />
                ))}
              </View>
            )}
          </Fold>
        </>
      ) : (
        <Words testID="this-computer-alone">{OTHER_DEVICES.torvinAnswersComputer}</Words>
      )}
      {(first || data.passcode) && <Passcode {...data} />}
      <Devices devices={data.devices} />
    </View>
  );
}

function Address({ url, qr }: AccessTold['addresses'][number]) {
  return (
    <View style={{ gap: space.small }}>
      {createElement('img', {
        alt: OTHER_DEVICES.addressCamera(url),
        src: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(qr)}`,
        width: QR_PX,
        height: QR_PX,
        style: { display: 'block', background: 'white' },
      })}
      <Words bold testID="address">
        {url}
      </Words>
    </View>
  );
}

const lengthWords = OTHER_DEVICES.lettersDigitsCapital(PASSCODE_LETTERS.least, PASSCODE_LETTERS.most);

function Passcode({ passcode, home, devices }: AccessTold) {
  const client = useQueryClient();
  const [typed, setTyped] = useState<string | null>(null);
  const [old, setOld] = useState('');
  const asksOld = passcode && !home;
  const change = useMutation({
    mutationFn: (next: string) => call(asks.changePasscode, { body: { passcode: next, ...(asksOld ? { old } : {}) } }),
    onSuccess(told) {
      client.setQueryData(keys.access, told);
      leave();
    },
  });
  const leave = (): void => {
    setTyped(null);
    setOld('');
  };
  const refused = change.error ? problemOfError(change.error) : null;
  const ofOld = refused?.path === 'old';
  const { length } = plainPasscode(typed ?? '');
  const others = devices.filter(({ here }) => !here).length;
  if (typed === null)
    return (
      <View style={{ gap: space.small }}>
        {change.isSuccess && (
          <Notice tone="plain" testID="passcode-changed">
            {OTHER_DEVICES.passcodeChangedEvery}
          </Notice>
        )}
        <Action
          kind="second"
          title={passcode ? OTHER_DEVICES.changeThePasscode : OTHER_DEVICES.chooseAPasscode}
          testID="change-passcode"
          onPress={() => setTyped('')}
        />
      </View>
    );
  return (
    <View style={{ gap: space.small }}>
      {others > 0 && <Notice tone="plain">{others === 1 ? OTHER_DEVICES.otherDeviceSigned : OTHER_DEVICES.otherDevicesSigned(others)}</Notice>}
      {asksOld && (
        <Field
          label={OTHER_DEVICES.passcodeUntilNow}
          value={old}
          onChange={(next) => {
            change.reset();
            setOld(next);
          }}
          hint={OTHER_DEVICES.whoeverLostChanges}
          error={ofOld ? refused?.message : undefined}
          testID="old-passcode"
        />
      )}
      <Field
        label={OTHER_DEVICES.newPasscode}
        value={typed}
        onChange={setTyped}
        hint={lengthWords}
        error={ofOld ? undefined : refused?.message}
        testID="new-passcode"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action
          title={OTHER_DEVICES.useThisOne}
          disabled={change.isPending || length < PASSCODE_LETTERS.least || length > PASSCODE_LETTERS.most || (asksOld && old.trim() === '')}
          testID="save-passcode"
          onPress={() => change.mutate(typed)}
        />
        <Action kind="second" title={OTHER_DEVICES.leaveIt} testID="leave-passcode" onPress={leave} />
      </View>
    </View>
  );
}

function Devices({ devices }: Pick<AccessTold, 'devices'>) {
  const client = useQueryClient();
  const end = useMutation({
    mutationFn: (id: string) => call(asks.endDevice, { id, body: {} }),
    onSuccess: (told) => client.setQueryData(keys.access, told),
  });
  const now = new Date(useNow());
  if (devices.length === 0) return null;
  return (
    <View style={{ gap: space.small }}>
      <Words bold role="heading" aria-level={3}>
        {OTHER_DEVICES.devicesThatAre}
      </Words>
      {end.error && <Notice tone="warn">{problemOfError(end.error).message}</Notice>}
      <View role="list">
        {devices.map(({ id, name, enteredAt, seenAt, here }) => (
          <View
            key={id}
            role="listitem"
            testID="device"
            style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', gap: space.small }}
          >
            <View style={{ flexShrink: 1 }}>
              <Words bold>{here ? OTHER_DEVICES.thisOne(name) : name}</Words>
              <Words size="label" tone="muted">
                {OTHER_DEVICES.sinceLastSeen(dayAndClock(enteredAt, now), dayAndClock(seenAt, now))}
              </Words>
            </View>
            <Action
              kind="plain"
              title={here ? OTHER_DEVICES.leave : 'End'}
              label={OTHER_DEVICES.letNoLonger(name)}
              testID="end-device"
              onPress={() => end.mutate(id)}
            />
          </View>
        ))}
      </View>
    </View>
  );
}
