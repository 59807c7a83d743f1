/** Reckon: a sheet that comes up over whatever page is open, with what was typed last, and goes again. */
import { QUANTITY_NAMES } from '@torvin/core/quantity';
import { Pressable, ScrollView } from 'react-native';
import { useShelves } from '@/data/pieces';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Reading } from '@/ui/Reading';
import { SharedPanel } from '@/ui/SharedPanel';
import { Words } from '@/ui/Words';
import { closeShared } from '@/ui/shared';
import { KeptReckonings } from './KeptReckonings';
import { SHEETS } from './sheets';
import { openSheet, typeInto, useReckonState } from './state';
import { useWhere } from './useWhere';
import { RECKON_PANEL } from './words';

/** It is there while it is open. */
export function ReckonPanel() {
  const units = useUnits();
  const { data: shelves } = useShelves();
  const { sheet: open, typed } = useReckonState(units);
  const where = useWhere();
  const { Sheet } = SHEETS[open];
  const now = typed[open] ?? {};
  return (
    <SharedPanel title={RECKON_PANEL.reckon} closeLabel={RECKON_PANEL.closeReckon} testID="reckon">
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        role="tablist"
        aria-label={RECKON_PANEL.whatToReckon}
        style={{ flexGrow: 0, flexShrink: 0 }}
        contentContainerStyle={{ gap: space.small, paddingHorizontal: space.large, paddingVertical: space.small }}
      >
        {QUANTITY_NAMES.map((name) => (
          <Tile key={name} title={SHEETS[name].title} chosen={name === open} onPress={() => openSheet(name, units)} testID={`reckon-tab-${name}`} />
        ))}
      </ScrollView>
      <ScrollView style={{ flex: 1 }} contentContainerStyle={{ paddingHorizontal: space.large, paddingBottom: space.huge }} testID="reckon-scroll">
        {shelves ? (
          <Sheet key={open} typed={now} set={(change) => typeInto(open, { ...now, ...change }, units)} shelves={shelves} where={where} onPut={closeShared} />
        ) : (
          <Reading />
        )}
        <KeptReckonings onTake={({ kind, typed: was }) => typeInto(kind, was, units)} />
      </ScrollView>
    </SharedPanel>
  );
}

function Tile({ title, chosen, onPress, testID }: { title: string; chosen: boolean; onPress(): void; testID: string }) {
  const { colours } = useTheme();
  return (
    <Pressable
      role="tab"
      aria-selected={chosen}
      onPress={onPress}
      testID={testID}
      style={{
        ...{ width: 104, minHeight: TARGET + space.small, padding: space.small, justifyContent: 'center' },
        ...{ borderWidth: chosen ? 2 : 1, borderColor: chosen ? colours.touch : colours.line },
      }}
    >
      <Words size="label" bold={chosen} tone="touch">
        {title}
      </Words>
    </Pressable>
  );
}
