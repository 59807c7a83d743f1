/** Of which glass: a line that opens the shelf. */
import { formatDensity, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Option } from '@/ui/Option';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';
import type { ReckonedOf } from './glassOf';
import { OF_GLASS } from './words';
import { WORDS } from '@/ui/said';

export interface OfGlassProps {
  shelves: Shelves;
  of: ReckonedOf;
  onChange(id: string): void;
  /** Where a sheet asks more than once: which part is of it, and by which name its controls are found. */
  part?: string;
  id?: string;
}

export function OfGlass({ shelves, of, onChange, part, id: which = 'glass' }: OfGlassProps) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const glasses = shelves.glasses.filter(({ id }) => !shelves.archived.includes(id));
  const familyOf = (id: string): string | undefined => shelves.families.find((family) => family.id === id)?.name;
  const offered =
    glasses.length > 0
      ? glasses.map(({ id, name, colour, familyId }) => ({ id, name, colour, note: familyOf(familyId) }))
      : shelves.families.map(({ id, name }) => ({ id, name, colour: undefined, note: undefined }));
  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <Swatch colour={of.colour} />
        <View style={{ flex: 1 }}>
          <Words>{part ? OF_GLASS.of(part, of.name) : OF_GLASS.ofWithDensity(of.name, text(formatDensity(of.constants.density_kg_m3, units)))}</Words>
        </View>
        <Action
          kind="plain"
          title={open ? WORDS.close : OF_GLASS.another}
          label={`${open ? OF_GLASS.closeTheGlasses : OF_GLASS.anotherGlass}${part ? `, ${part}` : ''}`}
          testID={`reckon-${which}`}
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && (
        <View
          role="radiogroup"
          aria-label={part ? OF_GLASS.glass(part) : WORDS.glass}
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, paddingBottom: space.small }}
        >
          {offered.map(({ id, name, colour, note }) => (
            <Option
              key={id}
              as="radio"
              chosen={id === of.id}
              title={name}
              note={note}
              mark={<Swatch colour={colour} />}
              onPress={() => {
                onChange(id);
                setOpen(false);
              }}
              testID={`reckon-${which}-${id}`}
            />
          ))}
        </View>
      )}
    </View>
  );
}
