/** At the kiln: the load that runs, what is ready to be keyed in, what stands in each controller's programs, and practice. */
import { type Controller, figuresKeyed, profileWords } from '@torvin/core/controller';
import type { Program } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { InKiln } from '@/bench/InKiln';
import { UsedTwice } from '@/bench/UsedTwice';
import { byLoad } from '@/bench/byLoad';
import { firingWords, isReady } from '@/bench/waiting';
import { useBench } from '@/data/bench';
import { useShelves } from '@/data/pieces';
import { usePrograms } from '@/data/programs';
import { slotsOf, standingOf, standsWords } from '@/keyin/slots';
import type { Variables } from '@/outbox/kinds';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { runHref } from '@/ui/hrefs';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { offerBack } from '@/ui/takeBack';
import { ToPieces } from '@/ui/ToPieces';
import { Words } from '@/ui/Words';
import { useNow } from '@/ui/useNow';
import { isWide, useLayout } from '@/ui/useWidth';
import { KILN_SCREEN } from './words';
import { WORDS } from '@/ui/said';

export function KilnScreen() {
  const router = useRouter();
  const wide = isWide(useLayout());
  const column = wide ? { flex: 1, minWidth: 0 } : undefined;
  const bench = useBench();
  const shelvesRead = useShelves();
  const programs = usePrograms();
  if (!bench.data) return <Waiting query={bench} title={WORDS.kiln} />;
  if (!shelvesRead.data) return <Waiting query={shelvesRead} title={WORDS.kiln} />;
  const shelves = shelvesRead.data;
  const loads = byLoad(bench.data.inKiln);
  const ready = bench.data.waiting.filter(isReady);
  const controllers = shelves.controllers.filter(({ id }) => !shelves.archived.includes(id));
  return (
    <Screen title={WORDS.kiln} padded={false}>
      <Part title={KILN_SCREEN.running}>
        <UsedTwice loads={loads} />
        {loads.length === 0 ? (
          <Words tone="muted">{KILN_SCREEN.noFiringKiln}</Words>
        ) : (
          loads.map(([first, ...others]) => <InKiln key={first.load.id} firing={first} others={others} />)
        )}
      </Part>
      <View style={wide ? { flexDirection: 'row', alignItems: 'flex-start' } : undefined}>
        <View style={column}>
          <Part title={KILN_SCREEN.toKeyIn}>
            {ready.length === 0 && (
              <>
                <Words tone="muted">{KILN_SCREEN.nothingKeyYet}</Words>
                <ToPieces />
              </>
            )}
            <View role="list">
              {ready.map((one) => (
                <LinkRow key={one.piece.id} href={runHref(one.piece.id, one.stepId, 'key-in')} inset={0} testID="ready-to-key">
                  <View style={{ flex: 1 }}>
                    <Words bold>{one.piece.name}</Words>
                    <Words size="label" tone="muted">
                      {one.outdated.length > 0 ? KILN_SCREEN.scheduleOutDate(one.outdated.join(' ')) : firingWords(one)}
                    </Words>
                  </View>
                </LinkRow>
              ))}
            </View>
            <View style={{ alignItems: 'flex-start' }}>
              <Action kind="second" title={KILN_SCREEN.practiseController} testID="open-practice" onPress={() => router.push('/kiln/practice')} />
            </View>
          </Part>
        </View>
        <View style={column}>
          <Part title={KILN_SCREEN.inTheControllers}>{controllers.length === 0 && <Words tone="muted">{KILN_SCREEN.noControllerShelves}</Words>}</Part>
          {controllers.map((controller) => (
            <Fold
              key={controller.id}
              title={controller.name}
              about={`${profileWords(controller)}; ${holdsWords(standingOf(programs, controller.id))}`}
              testID={`programs-${controller.id}`}
            >
              {() => <Programs controller={controller} standing={standingOf(programs, controller.id)} />}
            </Fold>
          ))}
        </View>
      </View>
    </Screen>
  );
}

const holdsWords = (standing: readonly Program[]): string => (standing.length === 0 ? KILN_SCREEN.noProgramRecorded : KILN_SCREEN.known(standing.length));

const NOTHING_KNOWN = { pieceId: null, pieceName: null, stepId: null };

/** What stands in each program that can be written over. */
function Programs({ controller, standing }: { controller: Controller & { id: string; name: string }; standing: readonly Program[] }) {
  const router = useRouter();
  const key = useSave('keyProgram');
  const takeOut = useSave('removeProgram');
  const outbox = useOutbox();
  const now = new Date(useNow());
  const { first, last } = slotsOf(controller);
  const slots = Array.from({ length: last - first + 1 }, (_, i) => first + i);
  const stands = (slot: number, what: Pick<Program, 'scheduleId' | 'rows' | 'readAt' | 'slips'>, of: Variables['keyProgram']['of']) => ({
    ...{ id: uuid(), controllerId: controller.id, controllerName: controller.name, slot, keyedAt: Date.now() },
    ...{ ...what, of },
  });
  function forget({ slot, scheduleId, rows, readAt, slips, pieceId, pieceName, stepId }: Program): void {
    key.save(stands(slot, { scheduleId: null, rows: [], readAt: null, slips: null }, NOTHING_KNOWN));
    const bringBack = (): unknown => outbox.put('keyProgram', stands(slot, { scheduleId, rows, readAt, slips }, { pieceId, pieceName, stepId }));
    offerBack({ what: KILN_SCREEN.programSomethingElse(slot), bringBack: () => void bringBack() });
  }
  function remove({ id, slot }: Program): void {
    const entry = { id, slot, controllerId: controller.id, controllerName: controller.name };
    const then = (): void => offerBack({ what: KILN_SCREEN.entryProgramTaken(slot), bringBack: () => outbox.put('restoreProgram', entry) });
    takeOut.save(entry, { then });
  }
  return (
    <View role="list" style={{ gap: space.medium }}>
      {first > 1 && (
        <Words tone="muted">
          {first === 2 ? KILN_SCREEN.programCame : KILN_SCREEN.programsCame(first, first - 1)} {KILN_SCREEN.figuresAsksThem}
        </Words>
      )}
      {takeOut.refusal && <Notice tone="warn">{takeOut.refusal.problem.message}</Notice>}
      {key.refusal && <Notice tone="warn">{key.refusal.problem.message}</Notice>}
      {slots.map((slot) => {
        const program = standing.find((one) => one.slot === slot);
        const known = program?.pieceName != null && program.stepId !== null ? { pieceId: program.pieceId ?? '', stepId: program.stepId } : null;
        return (
          <View key={slot} role="listitem" style={{ gap: space.hair }} testID={`program-${slot}`}>
            <Words>
              <Words bold>{KILN_SCREEN.program(slot)}</Words>
              {standsWords(program, now)}
            </Words>
            {program && program.rows.length > 0 && (
              <Words size="label" tone="muted">
                {program.rows
                  .map((row) =>
                    figuresKeyed({ ...row, fullSpeed: false }, controller)
                      .map(({ figure }) => figure)
                      .join('/'),
                  )
                  .join('   ')}
              </Words>
            )}
            {program && (
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
                {known && (
                  <Action
                    kind="second"
                    title={KILN_SCREEN.keySheet}
                    label={KILN_SCREEN.keySheetProgram(slot)}
                    testID={`program-${slot}-open`}
                    onPress={() => router.push(runHref(known.pieceId, known.stepId, 'key-in'))}
                  />
                )}
                <Action
                  kind="plain"
                  title={KILN_SCREEN.takeItOut}
                  label={KILN_SCREEN.takeEntryProgram(slot)}
                  disabled={takeOut.saving}
                  testID={`program-${slot}-take-out`}
                  onPress={() => remove(program)}
                />
                {known && (
                  <Action
                    kind="plain"
                    title={KILN_SCREEN.differentProgramSlot}
                    label={KILN_SCREEN.differentProgramSlotProgram(slot)}
                    disabled={key.saving}
                    testID={`program-${slot}-forget`}
                    onPress={() => forget(program)}
                  />
                )}
              </View>
            )}
          </View>
        );
      })}
    </View>
  );
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View style={{ paddingHorizontal: space.large, paddingTop: space.large, gap: space.small }} testID={`kiln-${title.split(' ').at(-1)?.toLowerCase()}`}>
      <Words size="title" bold role="heading" aria-level={2}>
        {title}
      </Words>
      {children}
    </View>
  );
}
