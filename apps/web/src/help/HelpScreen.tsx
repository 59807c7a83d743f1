/** The papers that ship with Torvin, and what it is. */
import { useQuery } from '@tanstack/react-query';
import { asks } from '@torvin/schema';
import { View } from 'react-native';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';
import { space } from '@/theme/theme';
import { LinkRow } from '@/ui/LinkRow';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { DocText } from './DocText';
import { useDoc } from './docs';
import { type DocName, DOCS, isDoc } from './papers';
import { ABOUT, HELP } from './words';

const titleOf = (name: DocName): string => DOCS.find((doc) => doc.name === name)?.title ?? ABOUT.licences;

const BACK = { title: HELP.title, href: '/help' } as const;

export function HelpScreen() {
  const { data: backups } = useQuery({ queryKey: keys.backups, queryFn: ({ signal }) => call(asks.backups, { signal }) });
  const { data: diagnostics } = useQuery({ queryKey: ['diagnostics'], queryFn: ({ signal }) => call(asks.diagnostics, { signal }) });
  return (
    <Screen title={HELP.title} subtitle={HELP.papersAbout} padded={false}>
      <View role="list">
        {DOCS.map(({ name, title }) => (
          <LinkRow key={name} href={`/help/${name}`} testID={`paper-${name}`}>
            <Words bold tone="touch">
              {title}
            </Words>
          </LinkRow>
        ))}
      </View>
      <View style={{ padding: space.large, gap: space.small }} testID="about">
        <Words size="heading" bold role="heading" aria-level={2}>
          {ABOUT.title}
        </Words>
        {diagnostics && <Words>{ABOUT.version(diagnostics.versions.torvin)}</Words>}
        {backups && <Words>{ABOUT.data(backups.folder.replace(/[\\/]backups$/, ''))}</Words>}
        <Words>{ABOUT.estimate}</Words>
        <Words>{ABOUT.licence}</Words>
      </View>
      <View role="list">
        <LinkRow href="/help/licences" testID="licences">
          <Words bold tone="touch">
            {ABOUT.licences}
          </Words>
        </LinkRow>
        <LinkRow href="/settings/diagnostics" testID="about-diagnostics">
          <Words bold tone="touch">
            {ABOUT.report}
          </Words>
        </LinkRow>
      </View>
    </Screen>
  );
}

export function DocScreen({ name, at }: { name: string; at?: string }) {
  return isDoc(name) ? (
    <Paper name={name} at={at} />
  ) : (
    <Screen title={HELP.title} back={BACK}>
      <Words>{HELP.noSuch}</Words>
    </Screen>
  );
}

function Paper({ name, at }: { name: DocName; at?: string }) {
  const { data, error } = useDoc(name);
  return (
    <Screen title={titleOf(name)} back={BACK}>
      {error && <Words>{HELP.unread}</Words>}
      {data !== undefined && <DocText source={data} at={at} />}
    </Screen>
  );
}
