/** What the verdict on fit rests on: each contact with its margin, reactions, coatings; 'why?' opens the calculation. */
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { WarningSign } from '@/ui/Notice';
import { Why } from '@/ui/Why';
import { Words } from '@/ui/Words';
import { hatched } from '@/ui/hatched';
import type { FitNews } from './useFit';
import { FIT_NOTES } from './words';

const HELD = ['faceDown', 'capped'];

export function FitNotes({ fit }: { fit: FitNews | null }) {
  const { colours } = useTheme();
  if (!fit) return <Words tone="muted">{FIT_NOTES.judgingTheFit}</Words>;
  return (
    <View style={{ gap: space.hair, ...hatched(colours, fit.stale) }} testID="fit">
      {fit.findings.map(({ key, tone, sentence, reckoning }) => (
        <Why key={key} lines={reckoning} of={sentence} testID={`why-${key.replace(' ', '-')}`}>
          <View style={{ flexDirection: 'row', gap: space.small }}>
            {tone !== 'fine' && <WarningSign colour={tone === 'warn' ? colours.warn : colours.ink} size={14} />}
            <View style={{ flex: 1 }}>
              <Words size="label" tone={tone === 'warn' ? 'warn' : tone === 'know' ? 'ink' : 'muted'}>
                {sentence}
              </Words>
            </View>
          </View>
        </Why>
      ))}
      {fit.coatings.map(({ layer, state, message }) => (
        <View key={layer} style={{ flexDirection: 'row', gap: space.small }} testID="coating">
          {!HELD.includes(state) && <WarningSign colour={colours.warn} size={14} />}
          <View style={{ flex: 1 }}>
            <Words size="label" bold={!HELD.includes(state)} tone={HELD.includes(state) ? 'muted' : 'warn'}>
              {message}
            </Words>
          </View>
        </View>
      ))}
    </View>
  );
}
