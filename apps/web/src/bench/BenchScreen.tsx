/** Now and next: what stands in the kiln by the clock, what waits and for what, what was last learned. */
import { differenceIn, drawnLayers, formatDuration, text } from '@torvin/core';
import type { Bench, Shelves } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useBench } from '@/data/bench';
import { usePieces, useSchedule, useShelves } from '@/data/pieces';
import { useStudio } from '@/data/studio';
import { SectionDrawing } from '@/section/SectionDrawing';
import { useOutdated } from '@/piece/useOutdated';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { InKiln } from './InKiln';
import { byLoad, twiceUsed } from './byLoad';
import { type Waits, waitingPieces } from './waiting';

const FACE = { width: 84, height: 48 };

export function BenchScreen() {
  const router = useRouter();
  const wide = isWide(useLayout());
  const bench = useBench();
  const pieces = usePieces();
  const { data: shelves } = useShelves();
  if (!bench.data) return <Waiting query={bench} title="Bench" />;
  if (!pieces.data) return <Waiting query={pieces} title="Bench" />;
  const loads = byLoad(bench.data.inKiln);
  const waiting = waitingPieces(pieces.data, bench.data.fired);
  return (
    <Screen title="Bench" padded={false}>
      <Part title="In the kiln">
        {twiceUsed(loads, Date.now()).map((kiln) => (
          <Notice key={kiln} tone="warn" testID="kiln-used-twice">
            {`Two firings stand in the kiln '${kiln}' at the same time. Say which has been opened, or tell how it came out.`}
          </Notice>
        ))}
        {bench.data.inKiln.length === 0 ? (
          <Words tone="muted">Nothing. A firing is put here from its key-in sheet, and taken out by telling how it came out.</Words>
        ) : (
          loads.map(([first, ...others]) => <InKiln key={first.firing.load.id} detail={first} others={others} />)
        )}
      </Part>
      <View style={wide ? { flexDirection: 'row' } : undefined}>
        <Part title="Waiting">
          {pieces.data.length === 0 && (
            <Notice tone="plain" actions={<Action title="New piece" testID="first-piece" onPress={() => router.push('/pieces/new')} />}>
              Start with a piece: its outline and its glass; the firing is computed from them.
            </Notice>
          )}
          {pieces.data.length > 0 && waiting.length === 0 && <Words tone="muted">Nothing waits: every piece is through its firings.</Words>}
          <View role="list">
            {waiting.map((waits) => (
              <WaitingRow key={waits.piece.id} waits={waits} shelves={shelves} />
            ))}
          </View>
        </Part>
        <Part title="Last learned">
          <Learned learned={bench.data.learned} />
        </Part>
      </View>
    </Screen>
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

function WaitingRow({ waits: { piece, step, for: what }, shelves }: { waits: Waits; shelves: Shelves | undefined }) {
  const { data: schedule } = useSchedule(step?.scheduleId);
  const own = step && schedule?.stepId === step.id ? schedule : null;
  const outdated = useOutdated(piece.doc, step, own, shelves);
  return (
    <LinkRow href={`/pieces/${piece.id}`} inset={0} testID="waiting-piece">
      <SectionDrawing footprint={piece.doc.footprint} layers={drawnLayers(piece.doc, shelves)} {...FACE} small />
      <View style={{ flex: 1 }}>
        <Words bold>{piece.name}</Words>
        <Words size="label" tone="muted">
          {outdated.length > 0
            ? `waits for its schedule to be computed again. ${outdated.join(' ')}`
            : `waits for ${what}${own ? `, ${text(formatDuration(own.result.simulation.total_s))}` : ''}`}
        </Words>
      </View>
    </LinkRow>
  );
}

function Learned({ learned }: { learned: Bench['learned'] }) {
  const { temperatureUnit: unit } = useStudio();
  if (!learned) return <Words tone="muted">Nothing yet: tell how a firing came out, and what it teaches of your kiln stands here.</Words>;
  const { offset_K, workFactor, firings, kilnName, familyName, separated } = learned;
  const offset = Math.abs(differenceIn(offset_K, unit));
  const reads = offset < 0.5 ? 'its controller reads true' : `its controller reads ${offset.toFixed(0)} °${unit} ${offset_K > 0 ? 'over' : 'under'} the glass`;
  return (
    <View style={{ gap: space.hair }}>
      <Words>{`${kilnName}, ${familyName}, from ${firings} ${firings === 1 ? 'firing' : 'firings'}: looks take ${workFactor.toFixed(2)} times the usual heat work, and ${reads}.`}</Words>
      <Words size="label" tone="muted">
        {separated
          ? 'The two can be told apart by these firings.'
          : 'These firings cannot tell the two apart: a witness cone or a thermocouple at the glass, or a look at another temperature, would.'}
      </Words>
    </View>
  );
}
