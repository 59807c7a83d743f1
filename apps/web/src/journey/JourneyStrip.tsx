/** The journey as a row of small true sections, the body after each step; the chosen one is drawn large above it. */
import { type AfterStep, type DrawnBody, stepName } from '@torvin/core/piece';
import { formatMass, text } from '@torvin/core/units';
import { Fragment, useEffect, useRef } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { elementOf } from '@/ui/elementOf';
import { useUnits } from '@/data/FormUnits';
import { SectionPicture } from '@/section/SectionDrawing';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Hidden } from '@/ui/Hidden';
import { WarningSign } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { JOURNEY_STRIP } from './words';
import { WORDS } from '@/ui/said';

export interface StripStep extends AfterStep {
  drawn: DrawnBody;
  /** Done already, next, or still to come. */
  stands: 'done' | 'next' | 'toCome';
  /** Of a firing that is next though it was fired: how that came out; null while it stands in the kiln. */
  came?: 'short' | 'past' | null;
  /** What has to be said of it, with amounts. */
  warnings: readonly string[];
}

export interface JourneyStripProps {
  steps: readonly StripStep[];
  /** Id of the step that is drawn large. */
  chosen: string | null;
  onChoose(id: string): void;
  onAdd(): void;
}

const TILE = { width: 84, height: 52 } as const;
const CAME_WORDS = { short: JOURNEY_STRIP.fellShort, past: JOURNEY_STRIP.tooFar, open: WORDS.inTheKiln } as const;
const STANDS_WORDS = { done: 'done', toCome: JOURNEY_STRIP.toCome } as const;
/** Less is not told of one step, kg. */
const LEAST_TOLD_KG = 5e-5;

export function JourneyStrip({ steps, chosen, onChoose, onAdd }: JourneyStripProps) {
  const scroll = useRef<View>(null);
  useEffect(() => {
    const node = elementOf(scroll);
    const tile = node?.querySelector<HTMLElement>('[aria-pressed="true"]');
    const row = tile?.closest<HTMLElement>('[data-testid="journey"]');
    if (!tile || !row) return;
    const [own, all] = [tile, row].map((one) => one.getBoundingClientRect());
    row.scrollLeft += own.left - all.left - (all.width - own.width) / 2;
  }, [chosen, steps.length]);
  return (
    <View ref={scroll} role="list" aria-label={JOURNEY_STRIP.journeyStepAfter}>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        testID="journey"
        contentContainerStyle={{ paddingHorizontal: space.large, gap: space.small }}
      >
        {steps.map((step, index) => (
          <Fragment key={step.step.id}>
            <Tile step={step} index={index} chosen={step.step.id === chosen} onPress={() => onChoose(step.step.id)} />
          </Fragment>
        ))}
        <View role="listitem" style={{ justifyContent: 'center' }}>
          <Action kind="second" title="+ Step" label={JOURNEY_STRIP.stepJourney} testID="journey-add" onPress={onAdd} />
        </View>
      </ScrollView>
    </View>
  );
}

/** What a step put on less what it took, as it is written under it. */
function gained({ laid_kg, taken }: AfterStep): number {
  return laid_kg - taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0);
}

function Tile({ step: after, index, chosen, onPress }: { step: StripStep; index: number; chosen: boolean; onPress(): void }) {
  const { colours } = useTheme();
  const units = useUnits();
  const { step, drawn, stands, came, problem, warnings } = after;
  const by_kg = gained(after);
  const mass = Math.abs(by_kg) < LEAST_TOLD_KG ? '' : `${by_kg > 0 ? '+' : '−'} ${text(formatMass(Math.abs(by_kg), units.mass))}`;
  const title = `${index + 1} ${stepName(step)}`;
  const below = stands === 'next' ? `${came === undefined ? 'next' : CAME_WORDS[came ?? 'open']}${mass === '' ? '' : ` · ${mass}`}` : mass;
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-pressed={chosen}
        onPress={onPress}
        testID={`journey-${index}`}
        {...({ dataSet: step.kind === 'fire' ? { fires: '' } : {} } as object)}
        style={{ width: TILE.width + 4, minHeight: TARGET }}
      >
        <Words size="note" bold={chosen} tone={chosen ? 'touch' : 'ink'} numberOfLines={1}>
          {title}
        </Words>
        <View
          aria-hidden
          style={{
            ...(chosen ? { borderWidth: 2 } : { borderWidth: 1, margin: 1 }),
            borderColor: chosen ? colours.touch : colours.line,
            opacity: stands === 'toCome' && !chosen ? 0.75 : 1,
          }}
        >
          <SectionPicture {...drawn} {...TILE} />
          {(problem ?? warnings.length > 0) && (
            <View style={{ position: 'absolute', right: 2, top: 2 }}>
              <WarningSign colour={colours.warn} size={14} />
            </View>
          )}
        </View>
        <View
          style={{
            borderTopWidth: 3,
            borderStyle: stands === 'done' ? 'solid' : 'dotted',
            borderColor: stands === 'done' ? colours.ink : colours.muted,
            marginTop: 3,
          }}
        />
        <Words size="note" tone={stands === 'next' ? 'touch' : 'muted'} numberOfLines={1}>
          {below}
        </Words>
        <Hidden>
          <Text>{[...(stands === 'next' ? [] : [STANDS_WORDS[stands]]), ...(problem ? [problem.message] : []), ...warnings].join(', ')}</Text>
        </Hidden>
      </Pressable>
    </View>
  );
}
