/** The fit of the lay-up in words: verdict, reason and margin, reactions, coatings; 'why?' opens the reckoning. */
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { WarningSign } from '@/ui/Notice';
import { Why } from '@/ui/Why';
import { Words } from '@/ui/Words';
import { hatched } from '@/ui/hatched';
import type { FitNews } from './useFit';

const SUMMARY_PX = 24;
const NOTE_PX = 52;
const HELD = ['faceDown', 'capped'];

/** contacts: of how many different glasses it will speak, so that nothing below jumps when the judgement comes. */
export function FitNotes({ fit, contacts }: { fit: FitNews | null; contacts: number }) {
  const { colours } = useTheme();
  if (!fit) {
    return (
      <View style={{ minHeight: SUMMARY_PX + contacts * NOTE_PX }}>
        <Words tone="muted">Judging the fit …</Words>
      </View>
    );
  }
  const warns = fit.verdict === 'fails' || fit.verdict === 'doubtful';
  return (
    <View style={{ gap: space.hair, ...hatched(colours, fit.stale) }} testID="fit">
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        {warns && <WarningSign colour={colours.warn} />}
        <Words bold tone={warns ? 'warn' : 'ink'} role={warns ? 'alert' : undefined} testID="fit-summary">
          {fit.summary}
        </Words>
      </View>
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
