/** As what the glass is put in, and how large one piece is where the shelf does not say. */
import { type Units, suggestedWords } from '@torvin/core/units';
import { useUnits } from '@/data/FormUnits';
import { PUT_TITLES, type PutName, USUAL_LUMP_M } from './putAs';
import { type AskedField, FieldRow, NamedChips, type Sheet } from './TypedField';
import { GOES_IN_AS } from './words';

const lumpFields = ({ length }: Units): readonly AskedField[] => [
  { field: 'lumpThick', label: GOES_IN_AS.pieceThick, hint: GOES_IN_AS.empty(suggestedWords(USUAL_LUMP_M.thick_m, length)) },
  { field: 'lumpWide', label: GOES_IN_AS.andWide, hint: GOES_IN_AS.empty(suggestedWords(USUAL_LUMP_M.wide_m, length)) },
];

export function GoesInAs({ sheet, value, offered }: { sheet: Sheet; value: PutName; offered: readonly PutName[] }) {
  const units = useUnits();
  return (
    <>
      <NamedChips<PutName>
        label={GOES_IN_AS.goesInAs}
        value={value}
        options={offered.map((one) => ({ value: one, title: PUT_TITLES[one] }))}
        onPick={(putAs) => sheet.set({ putAs })}
        testID="reckon-as"
      />
      {value === 'scrap' && <FieldRow sheet={sheet} fields={lumpFields(units)} />}
    </>
  );
}
