/** A plan in its own size and its cutting list, to be printed: nothing else on the paper. */
import { drawnLayers, firingsOf, type PlannedStep } from '@torvin/core/piece';
import { footprintRings } from '@torvin/core/plan';
import type { Piece, Shelves } from '@torvin/schema';
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { cutRows } from '@/layup/cutRows';
import { ownLayers } from '@/layup/ownLayers';
import { plannedOf } from '@/layup/planned';
import { useJourney } from '@/journey/useJourney';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { OnPaper } from '@/paper/OnPaper';
import { listPages, planTiles } from './planSvg';
import { PLAN_PRINT_SCREEN } from './words';
import { WORDS } from '@/ui/said';

export function PlanPrintScreen({ piece, shelves, at }: { piece: Piece; shelves: Shelves; at: string | null }) {
  const units = useUnits();
  const [mirrored, setMirrored] = useState(false);
  const [withList, setWithList] = useState(true);
  const { doc } = piece;
  const { shown, laying, at: index, madeBy } = useJourney(doc, piece.fired, shelves, at);
  const own = ownLayers(shown.layers, laying);
  const planned = plannedOf(shown, drawnLayers(shown.layers, shelves, shown.footprint), own, units.length);
  const firing = firingsOf({ journey: doc.journey.slice(Math.max(index, 0)) })[0] as PlannedStep | undefined;
  const rows = cutRows(shown, own, firing, doc.journey.slice(madeBy), shelves, units);
  const numberOf = (id: string): number => rows.find(({ ids }) => ids.includes(id))?.number ?? 0;
  const title = PLAN_PRINT_SCREEN.version(piece.name, piece.version);
  const tiles = planTiles({
    ...{ title, mirrored, rings: footprintRings(shown.footprint) },
    parts: planned.own.map(({ id, corners }) => ({ corners, number: numberOf(id) })),
  });
  const notes = [...new Set(rows.map(({ score }) => score).filter(Boolean))];
  const sheets = [...tiles.pages, ...(withList && rows.length > 0 ? listPages({ title, rows, notes }) : [])];
  return (
    <Screen
      title={PLAN_PRINT_SCREEN.printThePlan}
      of={piece.name}
      subtitle={PLAN_PRINT_SCREEN.a4OrLetter(countWords(sheets.length, 'page', 'pages'))}
      back={{ title: piece.name, href: `/pieces/${piece.id}${at ? `?at=${at}` : ''}` }}
    >
      <View style={{ gap: space.large }}>
        <Notice tone="care">{PLAN_PRINT_SCREEN.printNotFitted}</Notice>
        <View>
          <Tick on={mirrored} title={PLAN_PRINT_SCREEN.mirroredOtherFace} testID="plan-mirrored" onPress={() => setMirrored(!mirrored)} />
          {rows.length > 0 && <Tick on={withList} title={PLAN_PRINT_SCREEN.cuttingList} testID="plan-with-list" onPress={() => setWithList(!withList)} />}
        </View>
        <OnPaper sheets={() => sheets} />
        <Action title={WORDS.print} label={PLAN_PRINT_SCREEN.printThePlan} testID="print" onPress={() => window.print()} />
        <Words size="label" tone="muted">
          {tiles.pages.length === 1 ? PLAN_PRINT_SCREEN.fitsOnePage : PLAN_PRINT_SCREEN.pagesWhichOverlap(tiles.rows, tiles.columns)}
        </Words>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {sheets.map((sheet, i) =>
            createElement('img', {
              key: i,
              'data-testid': `plan-sheet-${i}`,
              alt: i < tiles.pages.length ? PLAN_PRINT_SCREEN.planPageOf(i + 1, tiles.pages.length) : WORDS.cuttingList,
              src: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(sheet)}`,
              style: { width: 171, border: '1px solid', display: 'block' },
            }),
          )}
        </View>
      </View>
    </Screen>
  );
}
