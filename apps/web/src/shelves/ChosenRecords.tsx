/** Several records of a shelf at once: archived or restored, written into one table. */
import { KINDS, type ShelfKind, type Shelves, kindOf, shelfTable, titleOf } from '@torvin/schema';
import { fileName } from '@torvin/core/units';
import { useUnits } from '@/data/FormUnits';
import { useStudio } from '@/data/studio';
import { useOutbox } from '@/outbox/useOutbox';
import type { ShelfRecord } from '@/outside/records';
import { Action } from '@/ui/Action';
import { ChosenDrawer } from '@/ui/ChosenDrawer';
import { countWords } from '@/ui/countWords';
import { download } from '@/ui/download';
import { offerBack } from '@/ui/takeBack';
import type { Chosen } from '@/ui/useChosen';
import { CHOSEN_RECORDS, aboutShelves } from './words';
import { WORDS } from '@/ui/said';

export interface ChosenRecordsProps {
  kind: ShelfKind;
  shelves: Shelves;
  chosen: Chosen<ShelfRecord>;
  shown: readonly ShelfRecord[];
}

export function ChosenRecords({ kind, shelves, chosen, shown }: ChosenRecordsProps) {
  const outbox = useOutbox();
  const units = useUnits();
  const { csv } = useStudio();
  const { items } = chosen;
  const none = items.length === 0;
  const areAway = !none && items.every(({ id }) => shelves.archived.includes(id));
  const many = countWords(items.length, KINDS[kind].one, KINDS[kind].many);
  const archive = (): void => {
    const about = aboutShelves(shelves, units);
    const put = (archived: boolean): void =>
      items.forEach((record) => outbox.put('archiveRecord', { kind, id: record.id, name: titleOf(kind, record, about), archived }));
    put(!areAway);
    offerBack({ what: areAway ? CHOSEN_RECORDS.restored(many) : CHOSEN_RECORDS.archived(many), undoes: true, bringBack: () => put(areAway) });
    chosen.end();
  };
  const write = (): void => {
    download(fileName(KINDS[kind].many, 'csv'), new Blob([shelfTable(kind, items, shelves, units, csv)], { type: 'text/csv' }));
    chosen.end();
  };
  return (
    <ChosenDrawer count={items.length} shown={shown.length} onAll={() => chosen.add(shown)} onEnd={chosen.end}>
      {kindOf(kind).archives && (
        <Action kind="second" title={areAway ? WORDS.restore : CHOSEN_RECORDS.archive} disabled={none} testID="chosen-archive" onPress={archive} />
      )}
      <Action kind="second" title={CHOSEN_RECORDS.export} label={CHOSEN_RECORDS.exportTable} disabled={none} testID="chosen-export" onPress={write} />
    </ChosenDrawer>
  );
}
