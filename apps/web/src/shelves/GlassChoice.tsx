/** One glass from the shelf: swatch, name, what it comes as; the family of the present one first. */
import { FORM_NAMES, type LayerForm } from '@torvin/core';
import type { Glass, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Option } from '@/ui/Option';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';

export interface GlassChoiceProps {
  shelves: Shelves;
  /** Only glasses that come in it are offered, and the present one. */
  form: LayerForm;
  value: string;
  onChange(glass: Glass): void;
}

export function GlassChoice({ shelves, form, value, onChange }: GlassChoiceProps) {
  const present = shelves.glasses.find(({ id }) => id === value);
  const offered = shelves.glasses.filter((glass) => glass.id === value || (glass.forms.includes(form) && !shelves.archived.includes(glass.id)));
  const families = shelves.families
    .filter(({ id }) => offered.some(({ familyId }) => familyId === id))
    .sort((a, b) => Number(b.id === present?.familyId) - Number(a.id === present?.familyId));
  return (
    <View role="radiogroup" aria-label="Glass" style={{ gap: space.hair, paddingBottom: space.small }}>
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
    </View>
  );
}

function GlassButton({ glass, chosen, onPress }: { glass: Glass; chosen: boolean; onPress(): void }) {
  const forms = glass.forms.filter((form) => form !== 'cap' && form !== 'pieces').map((form) => FORM_NAMES[form].toLowerCase());
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
