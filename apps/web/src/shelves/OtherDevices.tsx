/** How a phone opens this studio, the passcode it is asked for, and which devices have been let in. */
import { type AccessTold, PASSCODE_LETTERS, api, plainPasscode } from '@torvin/schema';
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

const QR_PX = 200;

export function OtherDevices() {
  const { data } = useQuery({ queryKey: keys.access, queryFn: ({ signal }) => call(api.access, { signal }) });
  if (!data) return null;
  const [first, ...others] = data.addresses;
  return (
    <View style={{ paddingTop: space.wide, gap: space.small }} testID="other-devices">
      <Words bold role="heading" aria-level={2}>
        Open on your phone
      </Words>
      {first ? (
        <>
          <Words size="label" tone="muted">
            Point its camera at this, or type the address into its browser. It has to be in the same network as the computer that Torvin runs on.
          </Words>
          <Address {...first} />
          <Fold title="It does not open" about="what to look at" testID="does-not-open">
            {() => (
              <View style={{ gap: space.small }}>
                <Words>
                  Is the phone in the same network? In one for guests devices do not see each other? Does the computer’s firewall let others in? It may have
                  asked when Torvin was started. Does the computer sleep?
                </Words>
                {others.length > 0 && <Words>This computer has other addresses too; the one that the phone can reach may be among them:</Words>}
                {others.map((address) => (
                  <Address key={address.url} {...address} />
                ))}
              </View>
            )}
          </Fold>
        </>
      ) : (
        <Words testID="this-computer-alone">
          Torvin answers on this computer alone. Start it with npm run studio (or npm run demo -- --lan) to open it on phones in the same network. Each is asked
          once for a passcode.
        </Words>
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
        alt: `The address ${url}, for a camera`,
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

const lengthWords = `${PASSCODE_LETTERS.least} to ${PASSCODE_LETTERS.most} letters or digits; capital letters, spaces and hyphens do not matter`;

function Passcode({ passcode, home, devices }: AccessTold) {
  const client = useQueryClient();
  const [typed, setTyped] = useState<string | null>(null);
  const [old, setOld] = useState('');
  const asksOld = passcode && !home;
  const change = useMutation({
    mutationFn: (next: string) => call(api.changePasscode, { body: { passcode: next, ...(asksOld ? { old } : {}) } }),
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
            The passcode is changed. Every other device is asked for it.
          </Notice>
        )}
        <Action kind="second" title={passcode ? 'Change the passcode …' : 'Choose a passcode …'} testID="change-passcode" onPress={() => setTyped('')} />
      </View>
    );
  return (
    <View style={{ gap: space.small }}>
      {others > 0 && (
        <Notice tone="plain">
          {others === 1 ? 'The other device that is signed in must enter it again.' : `The ${others} other devices that are signed in must enter it again.`}
        </Notice>
      )}
      {asksOld && (
        <Field
          label="Passcode until now"
          value={old}
          onChange={(next) => {
            change.reset();
            setOld(next);
          }}
          hint="whoever has lost it changes it on the computer that Torvin runs on"
          error={ofOld ? refused?.message : undefined}
          testID="old-passcode"
        />
      )}
      <Field label="New passcode" value={typed} onChange={setTyped} hint={lengthWords} error={ofOld ? undefined : refused?.message} testID="new-passcode" />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action
          title="Use this one"
          disabled={change.isPending || length < PASSCODE_LETTERS.least || length > PASSCODE_LETTERS.most || (asksOld && old.trim() === '')}
          testID="save-passcode"
          onPress={() => change.mutate(typed)}
        />
        <Action kind="second" title="Leave it" testID="leave-passcode" onPress={leave} />
      </View>
    </View>
  );
}

function Devices({ devices }: Pick<AccessTold, 'devices'>) {
  const client = useQueryClient();
  const end = useMutation({
    mutationFn: (id: string) => call(api.endDevice, { id, body: {} }),
    onSuccess: (told) => client.setQueryData(keys.access, told),
  });
  const now = new Date(useNow());
  if (devices.length === 0) return null;
  return (
    <View style={{ gap: space.small }}>
      <Words bold role="heading" aria-level={3}>
        Devices that are in
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
              <Words bold>{here ? `${name} (this one)` : name}</Words>
              <Words size="label" tone="muted">
                {`since ${dayAndClock(enteredAt, now)}; last seen ${dayAndClock(seenAt, now)}`}
              </Words>
            </View>
            <Action kind="plain" title={here ? 'Leave' : 'End'} label={`Let ${name} in no longer`} testID="end-device" onPress={() => end.mutate(id)} />
          </View>
        ))}
      </View>
    </View>
  );
}
