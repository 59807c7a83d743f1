/** One glass from the shelf: swatch, name, what it comes as; the family of the present one first, what was made here last. */
import { LAYER_KINDS, type LayerForm, comesAs, laidAs } from '@torvin/core/piece';
import type { Units } from '@torvin/core/units';
import { type Glass, type Made, type Shelves, madeSize } from '@torvin/schema';
import { View } from 'react-native';
import { type MadeStock, useMadeStock } from '@/data/made';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Option } from '@/ui/Option';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';
import { StripedSwatch } from './StripedSwatch';
import { glassOf } from './everyGlass';
import { leftWords } from './leftWords';
import { GLASS_CHOICE } from './words';
import { WORDS } from '@/ui/said';

export interface GlassChoiceProps {
  shelves: Shelves;
  /** Only glasses that come in it are offered, and the present one. */
  form: LayerForm;
  value: string;
  onChange(glass: Glass): void;
  /** Made glass that came out of this piece is not offered: no piece is made of itself. */
  pieceId?: string;
}

export function GlassChoice({ shelves, form, value, onChange, pieceId }: GlassChoiceProps) {
  const units = useUnits();
  const present = glassOf(shelves, value);
  const made = shelves.made.filter(
    (one) =>
      one.id === value || (laidAs(one.form).includes(form) && !shelves.archived.includes(one.id) && (pieceId === undefined || one.from?.pieceId !== pieceId)),
  );
  const stock = useMadeStock(made.length > 0);
  const offered = shelves.glasses.filter((glass) => glass.id === value || (comesAs(glass, form) && !shelves.archived.includes(glass.id)));
  const families = shelves.families
    .filter(({ id }) => offered.some(({ familyId }) => familyId === id))
    .sort((a, b) => Number(b.id === present?.familyId) - Number(a.id === present?.familyId));
  return (
    <View role="radiogroup" aria-label={WORDS.glass} style={{ gap: space.hair, paddingBottom: space.small }}>
      {families.map((family) => (
        <View key={family.id} style={{ gap: space.hair }}>
          <Words size="label" tone="muted">
            {family.name}
          </Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            {offered
              .filter(({ familyId }) => familyId === family.id)
              .map((glass) => (
                <GlassButton key={glass.id} glass={glass} chosen={glass.id === value} onPress={() => onChange(glass)} />
              ))}
          </View>
        </View>
      ))}
      {made.length > 0 && (
        <View style={{ gap: space.hair }}>
          <Words size="label" tone="muted">
            {GLASS_CHOICE.madeHere}
          </Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            {made.map((one) => {
              const glass = glassOf(shelves, one.id);
              return (
                glass && (
                  <Option
                    key={one.id}
                    as="radio"
                    chosen={one.id === value}
                    title={one.name}
                    note={madeNote(one, stock, units)}
                    mark={<StripedSwatch shelves={shelves} made={one} />}
                    onPress={() => onChange(glass)}
                    testID={`glass-${one.id}`}
                  />
                )
              );
            })}
          </View>
        </View>
      )}
    </View>
  );
}

const madeNote = (made: Made, stock: ((made: Made) => MadeStock) | null, units: Units): string =>
  [madeSize(made, units), ...(stock ? [leftWords(stock(made).left_kg, made, units)] : []), ...(made.fragile ? ['fragile'] : [])].join(', ');

function GlassButton({ glass, chosen, onPress }: { glass: Glass; chosen: boolean; onPress(): void }) {
  const forms = glass.forms.filter((form) => form !== 'cap' && form !== 'pieces').map((form) => LAYER_KINDS[form].name.toLowerCase());
  return (
    <Option
      as="radio"
      chosen={chosen}
      title={glass.name}
      note={[...forms, ...(glass.coated ? ['coated'] : []), ...glass.contents].join(', ')}
      mark={<Swatch colour={glass.colour} />}
      onPress={onPress}
      testID={`glass-${glass.id}`}
    />
  );
}
