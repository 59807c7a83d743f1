/** The load that a firing was in: what else, the program it ran from, what was read, and a note that is of all of it. */
import { LOOK_NAMES } from '@torvin/core/look';
import { type TemperatureUnit, formatTemperature, text } from '@torvin/core/units';
import type { Firing, FiringDetail, LoadDetail, Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useLoad } from '@/data/loads';
import { useStudio } from '@/data/studio';
import { useSave } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Held } from '@/ui/Held';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { UNLIKE, outdatedLoadWords } from '@/ui/loadWords';
import { resultWords } from '@/ui/results';
import { LOAD_PANEL } from './words';

/** 'with Plaque no. 15 and Plaque no. 16; program 3 of Grey box'. */
export function loadWords({ controllerId, slot, scheduleNumber }: Firing['load'], together: FiringDetail['together'], shelves: Shelves | undefined): string {
  const others = together.map(({ pieceName }) => pieceName);
  const beside =
    others.length === 0 ? LOAD_PANEL.aloneKiln : LOAD_PANEL.with(others.length > 1 ? LOAD_PANEL.and(others.slice(0, -1).join(', ')) : '', others.at(-1));
  const controller = shelves?.controllers.find(({ id }) => id === controllerId);
  const unlike = others.length > 0 && scheduleNumber === null ? LOAD_PANEL.differentSchedules : '';
  return `${beside}${unlike}${slot === null ? '' : LOAD_PANEL.program(slot, controller ? LOAD_PANEL.of(controller.name) : '')}`;
}

export function LoadPanel({ id, firingId }: { id: string; firingId: string }) {
  const load = useLoad(id);
  if (!load.data) return <Words tone="muted">{load.isError ? LOAD_PANEL.couldNotRead : LOAD_PANEL.reading}</Words>;
  return <Shown load={load.data} firingId={firingId} />;
}

function Shown({ load, firingId }: { load: LoadDetail; firingId: string }) {
  const { temperatureUnit } = useStudio();
  const save = useSave('noteLoad');
  const [typed, setTyped] = useState<string | null>(null);
  const note = typed ?? load.note;
  const others = load.entries.filter((entry) => entry.firingId !== firingId);
  return (
    <View style={{ gap: space.small }}>
      {others.map(({ firingId: other, pieceName, look, result }) => (
        <LinkRow key={other} href={`/notebook/${other}`} inset={0} listed={false} testID="load-entry">
          <Words bold tone="touch">
            {pieceName}
          </Words>
          <Words size="label" tone="muted">
            {`${LOOK_NAMES[look]}, ${resultWords(result)}`}
          </Words>
        </LinkRow>
      ))}
      {others.length > 0 && load.scheduleNumber === null && <Words testID="load-unlike">{UNLIKE}</Words>}
      {load.outdated.length > 0 && (
        <Notice tone="warn" testID="load-outdated">
          {outdatedLoadWords(load.outdated)}
        </Notice>
      )}
      {load.readings.length > 0 && <Words testID="load-readings">{readingsWords(load.readings, temperatureUnit)}</Words>}
      <Field label={LOAD_PANEL.noteWholeLoad} value={note} onChange={setTyped} multiline hint={LOAD_PANEL.whatHeldAll} testID="load-note" />
      {save.refusal && <Notice tone="warn">{save.refusal.problem.message}</Notice>}
      {save.held && <Held />}
      {note !== load.note && (
        <Action
          title={LOAD_PANEL.keepTheNote}
          disabled={save.saving}
          testID="keep-load-note"
          onPress={() => save.save({ id: load.id, note }, { on: load.version, then: () => setTyped(null) })}
        />
      )}
    </View>
  );
}

/** 'One reading from the kiln: 70 °F.'; '12 readings from the kiln, 20 °C to 791 °C.' */
export function readingsWords(readings: LoadDetail['readings'], unit: TemperatureUnit): string {
  const all_C = readings.map(({ reading_C }) => reading_C);
  const [least, most] = [Math.min(...all_C), Math.max(...all_C)].map((celsius) => text(formatTemperature(celsius, unit)));
  return readings.length === 1 ? LOAD_PANEL.oneReadingKiln(least) : LOAD_PANEL.readingsKiln(readings.length, least, most);
}
