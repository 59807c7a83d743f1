/** Help for the page that is open, over it: what it is for, its words, its keys, where its figures come from. */
import { usePathname, useRouter } from 'expo-router';
import { ScrollView, View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { SharedPanel } from '@/ui/SharedPanel';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { closeShared, openShared, FIND } from '@/ui/shared';
import { SHORTCUTS, setLetters, useLetters } from '@/ui/shortcuts';
import { isWide, useLayout } from '@/ui/useWidth';
import { useDoc } from './docs';
import { helpFor } from './pages';
import { meaningOf } from './papers';
import { HELP } from './words';

const Heading = ({ children }: { children: string }) => (
  <Words bold role="heading" aria-level={3} style={{ paddingTop: space.medium }}>
    {children}
  </Words>
);

export function HelpPanel() {
  const router = useRouter();
  const page = helpFor(usePathname());
  const go = (href: Parameters<typeof router.push>[0]): void => {
    closeShared();
    router.push(href);
  };
  return (
    <SharedPanel title={page ? page.title : HELP.title} closeLabel={HELP.close} testID="help">
      <ScrollView style={{ flex: 1 }} contentContainerStyle={{ paddingHorizontal: space.large, paddingBottom: space.huge, gap: space.small }}>
        {page && (
          <>
            <Words testID="help-what">{page.what}</Words>
            <Heading>{HELP.figures}</Heading>
            <Words>{page.figures}</Words>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
              {page.more.map(({ doc, heading }) => (
                <Action
                  key={doc + heading}
                  kind="plain"
                  title={HELP.more(heading)}
                  testID={`help-more-${doc}`}
                  onPress={() => go({ pathname: '/help/[doc]', params: { doc, at: heading } })}
                />
              ))}
            </View>
            <Terms terms={page.terms} />
          </>
        )}
        {isWide(useLayout()) && <Keys />}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', paddingTop: space.medium }}>
          <Action kind="second" title={HELP.settings} testID="help-settings" onPress={() => go('/settings')} />
          <Action kind="plain" title={HELP.all} testID="help-all" onPress={() => go('/help')} />
          <Action kind="plain" title={HELP.findIn} testID="help-find" onPress={() => openShared(FIND)} />
        </View>
      </ScrollView>
    </SharedPanel>
  );
}

function Terms({ terms }: { terms: readonly string[] }) {
  const { data: glossary } = useDoc('glossary');
  if (glossary === undefined) return null;
  const known = terms.flatMap((term) => {
    const meaning = meaningOf(term, glossary);
    return meaning ? [{ term, meaning }] : [];
  });
  return (
    <>
      <Heading>{HELP.terms}</Heading>
      {known.map(({ term, meaning }) => (
        <Words key={term} size="label">
          <Words size="label" bold>
            {`${term} `}
          </Words>
          {meaning}
        </Words>
      ))}
    </>
  );
}

function Keys() {
  const letters = useLetters();
  return (
    <View testID="shortcuts">
      <Heading>{HELP.keys}</Heading>
      {SHORTCUTS.map(({ keys, does }) => (
        <View key={keys} style={{ flexDirection: 'row', gap: space.medium }}>
          <View style={{ width: 120 }}>
            <Words size="label" bold>
              {keys}
            </Words>
          </View>
          <Words size="label" style={{ flex: 1 }}>
            {does}
          </Words>
        </View>
      ))}
      <Tick on={letters} title={HELP.letters} onPress={() => setLetters(!letters)} testID="letters" />
    </View>
  );
}
