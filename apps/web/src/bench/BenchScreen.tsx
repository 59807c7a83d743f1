/** Now and next: what stands in the kiln by the clock, what waits and for what, what was last learned. */
import { drawnBody } from '@torvin/core/piece';
import { formatDuration, text } from '@torvin/core/units';
import type { Bench, Shelves, WaitingPiece } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useState } from 'react';
import { useBench, useLearned } from '@/data/bench';
import { problemOfError } from '@/outside/client';
import { useShelves } from '@/data/pieces';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { SectionDrawing } from '@/section/SectionDrawing';
import { recoatHref } from '@/shelves/FormCoats';
import { fromWhen } from '@/shelves/words';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { useNow } from '@/ui/useNow';
import { InKiln } from './InKiln';
import { Learned } from './Learned';
import { benchPaper } from './benchPaper';
import { byLoad, twiceUsed } from './byLoad';
import { waitsFor } from './waiting';

const FACE = { width: 84, height: 48 };

export function BenchScreen() {
  const router = useRouter();
  const wide = isWide(useLayout());
  const bench = useBench();
  const { data: shelves } = useShelves();
  const now = useNow();
  if (!bench.data) return <Waiting query={bench} title="Bench" />;
  const loads = byLoad(bench.data.inKiln);
  const { waiting, waitingInAll, pieces } = bench.data;
  return (
    <Screen title="Bench" padded={false}>
      <OnPaper pages={() => paperPages(benchPaper(bench.data, Date.now()), 'Bench')} />
      <Part title="In the kiln">
        {twiceUsed(loads, now).map((kiln) => (
          <Notice key={kiln} tone="warn" testID="kiln-used-twice">
            {`Two firings are in the kiln '${kiln}' at the same time. Mark the one that was opened, or record its result.`}
          </Notice>
        ))}
        {bench.data.inKiln.length === 0 ? (
          <Words tone="muted">Nothing. A firing is put here from its key-in sheet, and taken out by telling how it came out.</Words>
        ) : (
          loads.map(([first, ...others]) => <InKiln key={first.load.id} firing={first} others={others} />)
        )}
      </Part>
      <View style={wide ? { flexDirection: 'row' } : undefined}>
        <Part title="Waiting">
          {pieces === 0 && (
            <Notice tone="plain" actions={<Action title="New piece" testID="first-piece" onPress={() => router.push('/pieces/new')} />}>
              Start with a piece: its outline and its glass; the firing is calculated from them.
            </Notice>
          )}
          {pieces > 0 && waiting.length === 0 && <Words tone="muted">Nothing waits: every piece is through its firings.</Words>}
          <View role="list">
            {waiting.map((waits) => (
              <WaitingRow key={waits.piece.id} waits={waits} shelves={shelves} />
            ))}
          </View>
          {waitingInAll > waiting.length && (
            <Action kind="second" title={`All ${waitingInAll} that wait`} testID="all-waiting" onPress={() => router.push('/pieces?waits=yes')} />
          )}
        </Part>
        {bench.data.recoat.length > 0 && (
          <Part title="To recoat">
            <View role="list">
              {bench.data.recoat.map(({ formId, formName, zone, coatId, releaseId, why }) => (
                <LinkRow key={coatId} href={recoatHref(formId, { zone, releaseId })} inset={0} testID={`recoat-${formId}`}>
                  <View style={{ flex: 1 }}>
                    <Words bold tone="touch">
                      {[formName, zone].filter(Boolean).join(', ')}
                    </Words>
                    <Words size="label" tone="muted">
                      {why}
                    </Words>
                  </View>
                </LinkRow>
              ))}
            </View>
          </Part>
        )}
        {bench.data.making.length > 0 && (
          <Part title="In the making">
            <View role="list">
              {bench.data.making.map(({ id, formName, title, from, why }) => (
                <LinkRow key={id} href={`/shelves/makings/${id}`} inset={0} testID={`making-${id}`}>
                  <View style={{ flex: 1 }}>
                    <Words bold tone="touch">
                      {formName}
                    </Words>
                    <Words size="label" tone="muted">
                      {[`${title.toLowerCase()} is next${fromWhen(from, now) === '' ? '' : `, ${fromWhen(from, now)}`}.`, why].filter(Boolean).join(' ')}
                    </Words>
                  </View>
                </LinkRow>
              ))}
            </View>
          </Part>
        )}
        <Part title="Last learned">
          <LearnedOf bench={bench.data} kilns={shelves?.kilns} />
        </Part>
      </View>
    </Screen>
  );
}

/** Of the kiln that was told of last, or of another one that has taught. */
function LearnedOf({ bench: { learned, taught }, kilns }: { bench: Bench; kilns: Shelves['kilns'] | undefined }) {
  const [kiln, setKiln] = useState<string | null>(null);
  const other = useLearned(kiln);
  return (
    <>
      {taught.length > 1 && (
        <Chips
          label="Of which kiln"
          value={kiln ?? learned?.kilnId ?? null}
          options={taught.map(({ kilnId, kilnName }) => ({ value: kilnId, title: kilnName }))}
          onChange={setKiln}
          testID="learned-of"
        />
      )}
      {kiln !== null && other.error && <Notice tone="warn">{problemOfError(other.error).message}</Notice>}
      {kiln !== null && other.isPending ? (
        <Words tone="muted">Reading …</Words>
      ) : (
        <Learned learned={kiln === null ? learned : (other.data ?? null)} kilns={kilns} />
      )}
    </>
  );
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View
      style={{ flexGrow: 1, flexShrink: 1, flexBasis: 'auto', minWidth: 0, paddingHorizontal: space.large, paddingTop: space.large, gap: space.small }}
      testID={`bench-${title.split(' ').at(-1)?.toLowerCase()}`}
    >
      <Words size="title" bold role="heading" aria-level={2}>
        {title}
      </Words>
      {children}
    </View>
  );
}

function WaitingRow({ waits, shelves }: { waits: WaitingPiece; shelves: Shelves | undefined }) {
  const { piece, total_s, outdated } = waits;
  return (
    <LinkRow href={`/pieces/${piece.id}`} inset={0} testID="waiting-piece">
      <SectionDrawing {...drawnBody(piece.profile, shelves)} {...FACE} small />
      <View style={{ flex: 1 }}>
        <Words bold>{piece.name}</Words>
        <Words size="label" tone="muted">
          {outdated.length > 0
            ? `waits for its schedule to be calculated again. ${outdated.join(' ')}`
            : `waits for ${waitsFor(waits)}${total_s === null ? '' : `, ${text(formatDuration(total_s))}`}`}
        </Words>
      </View>
    </LinkRow>
  );
}
