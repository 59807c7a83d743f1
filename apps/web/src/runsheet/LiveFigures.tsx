/** The figures that answer while a bead moves: difference, heat work, tension, length. */
import {
  type Evaluation,
  type FiringCase,
  type LimitName,
  TERMS,
  type TemperatureUnit,
  differenceIn,
  formatDifference,
  formatDuration,
  formatStress,
  heatWorkBand,
  heatWorkFigures,
  otherTemperature,
  otherUnits,
  text,
} from '@torvin/core';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { FigureBlock } from '@/ui/FigureBlock';
import { Spoken } from '@/ui/Spoken';
import { Words } from '@/ui/Words';
import { hatched } from '@/ui/hatched';

export interface LiveFiguresProps {
  firing: FiringCase;
  evaluation: Evaluation;
  unit: TemperatureUnit;
  /** Clock time at which it may be opened. */
  opens: string;
  /** They are of another lay-up, kiln or set-up than the piece has now. */
  older?: boolean;
}

export const LiveFigures = memo(function LiveFigures({ firing, evaluation, unit, opens, older = false }: LiveFiguresProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const { length } = units;
  const otherLength = otherUnits(units).length;
  const { readings, simulation } = evaluation;
  const worst = (limit: LimitName): number => Math.max(0, ...readings.filter((reading) => reading.limit === limit).map(({ value }) => value));
  const { limits } = firing;
  const setting = worst('setting');
  const tension = worst('pull');
  const heat = heatWorkFigures(heatWorkBand(firing, evaluation.work_perPa));
  const allowedIn = (one: TemperatureUnit): string => `of ${Number(differenceIn(limits.setting_K, one).toFixed(1))} °${one}`;
  const inAll = formatDuration(simulation.total_s);
  const [term, setTerm] = useState<string | null>(null);
  const touch = (name: string) => () => setTerm((now) => (now === name ? null : name));
  return (
    <View
      style={{
        gap: space.hair,
        paddingHorizontal: space.large,
        paddingVertical: space.small,
        backgroundColor: colours.surface,
        borderTopWidth: 1,
        borderBottomWidth: 1,
        borderColor: colours.line,
        ...hatched(colours, older),
      }}
      testID="live-figures"
    >
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <FigureBlock
          label="core to skin"
          value={formatDifference(setting, unit)}
          other={formatDifference(setting, otherTemperature(unit))}
          share={setting / limits.setting_K}
          broken={setting > limits.setting_K * 1.001}
          note={allowedIn(unit)}
          otherNote={allowedIn(otherTemperature(unit))}
          onTouch={touch('core to skin')}
          testID="live-core-skin"
        />
        <FigureBlock
          label="heat work"
          value={{ figure: heat.figure, unit: '%' }}
          share={heat.bandShare}
          broken={!heat.ok}
          note={heat.band}
          onTouch={touch('heat work')}
          testID="live-work"
        />
        <FigureBlock
          label="tension"
          value={formatStress(tension, length)}
          other={formatStress(tension, otherLength)}
          share={tension / limits.pull_Pa}
          broken={tension > limits.pull_Pa * 1.001}
          note={`of ${text(formatStress(limits.pull_Pa, length))}`}
          otherNote={`of ${text(formatStress(limits.pull_Pa, otherLength))}`}
          onTouch={touch('tension')}
          testID="live-tension"
        />
        <FigureBlock label="in all" value={inAll} note={`to ${opens}`} testID="live-length" />
      </View>
      {term !== null && (
        <Words size="label" testID="term">
          {TERMS[term]}
        </Words>
      )}
      <Spoken
        text={`Core to skin ${text(formatDifference(setting, unit))}, heat work ${heat.figure} percent, tension ${text(formatStress(tension, length))}, opens ${opens}.`}
      />
    </View>
  );
});
