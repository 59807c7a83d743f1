/** Of which glass: a line that opens the shelf. */
import { formatDensity, text } from '@torvin/core';
import type { Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Option } from '@/ui/Option';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';
import type { ReckonedOf } from './glassOf';

export function OfGlass({ shelves, of, onChange }: { shelves: Shelves; of: ReckonedOf; onChange(id: string): void }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const glasses = shelves.glasses.filter(({ id }) => !shelves.archived.includes(id));
  const offered = glasses.length > 0 ? glasses : shelves.families.map(({ id, name }) => ({ id, name, colour: undefined }));
  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <Swatch colour={of.colour} />
        <View style={{ flex: 1 }}>
          <Words>{`of ${of.name}, ${text(formatDensity(of.constants.density_kg_m3, units))}`}</Words>
        </View>
        <Action
          kind="plain"
          title={open ? 'Close' : 'Another'}
          label={open ? 'Close the glasses' : 'Another glass'}
          testID="reckon-glass"
          onPress={() => setOpen(!open)}
        />
      </View>
      {open && (
        <View role="radiogroup" aria-label="Glass" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, paddingBottom: space.small }}>
          {offered.map(({ id, name, colour }) => (
            <Option
              key={id}
              as="radio"
              chosen={id === of.id}
              title={name}
              mark={<Swatch colour={colour} />}
              onPress={() => {
                onChange(id);
                setOpen(false);
              }}
              testID={`reckon-glass-${id}`}
            />
          ))}
        </View>
      )}
    </View>
  );
}
