/** Reckon: a sheet that comes up over whatever page is open, with what was typed last, and goes again. */
import { QUANTITY_NAMES } from '@torvin/core/quantity';
import { useRef } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { useShelves } from '@/data/pieces';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Reading } from '@/ui/Reading';
import { Words } from '@/ui/Words';
import { closeShared } from '@/ui/shared';
import { useWayOut } from '@/ui/useWayOut';
import { isWide, useLayout } from '@/ui/useWidth';
import { KeptReckonings } from './KeptReckonings';
import { SHEETS } from './sheets';
import { openSheet, typeInto, useReckonState } from './state';
import { useWhere } from './useWhere';
import { RECKON_PANEL } from './words';
import { WORDS } from '@/ui/said';

const WIDE_PX = 440;
/** So much of the page stays in sight above it. */
const ABOVE_PX = 72;

/** It is there while it is open. */
export function ReckonPanel() {
  const { colours } = useTheme();
  const units = useUnits();
  const wide = isWide(useLayout());
  const { data: shelves } = useShelves();
  const { sheet: open, typed } = useReckonState(units);
  const where = useWhere();
  const inside = useRef<View & HTMLElement>(null);
  useWayOut(inside, closeShared);
  const { Sheet } = SHEETS[open];
  const now = typed[open] ?? {};
  const place = wide
    ? ({ top: 0, width: WIDE_PX, borderLeftWidth: 1 } as const)
    : ({ top: ABOVE_PX, left: 0, boxShadow: '0 -6px 24px rgba(16, 32, 28, 0.18)' } as const);
  return (
    <>
      {!wide && (
        <Pressable
          onPress={closeShared}
          aria-hidden
          tabIndex={-1}
          style={{ position: 'absolute', top: 0, left: 0, right: 0, bottom: 0, backgroundColor: colours.ground, opacity: 0.6, zIndex: 5 }}
        />
      )}
      <View
        ref={inside}
        tabIndex={-1}
        role={'dialog' as never}
        aria-label={RECKON_PANEL.reckon}
        testID="reckon"
        style={[
          { position: 'absolute', right: 0, bottom: 0, backgroundColor: colours.surface, borderColor: colours.line, zIndex: 6, outlineStyle: 'none' as never },
          place,
        ]}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', paddingHorizontal: space.large, paddingTop: space.small }}>
          <Words size="heading" bold role="heading" aria-level={2}>
            {RECKON_PANEL.reckon}
          </Words>
          <Action kind="plain" title={WORDS.close} label={RECKON_PANEL.closeReckon} testID="close-reckon" onPress={closeShared} />
        </View>
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
      </View>
    </>
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
