/** The figures that answer while a bead moves: difference, heat work, pull, length. */
import {
  type Evaluation,
  type FiringCase,
  type LimitName,
  type TemperatureUnit,
  aimedWork,
  differenceIn,
  formatDifference,
  formatDuration,
  formatPsi,
  formatStress,
  otherTemperature,
  text,
  workRange,
} from '@torvin/core';
import { memo } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { FigureBlock } from '@/ui/FigureBlock';
import { Spoken } from '@/ui/Spoken';
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

const percent = (share: number): string => `${Math.round(share * 100)}`;

export const LiveFigures = memo(function LiveFigures({ firing, evaluation, unit, opens, older = false }: LiveFiguresProps) {
  const { colours } = useTheme();
  const { readings, work, simulation } = evaluation;
  const worst = (limit: LimitName): number => Math.max(0, ...readings.filter((reading) => reading.limit === limit).map(({ value }) => value));
  const { limits } = firing;
  const setting = worst('setting');
  const pull = worst('pull');
  const wanted = workRange(firing);
  const aim = aimedWork(firing.look, wanted);
  const workBroken = work.least < wanted.least || work.most > wanted.most;
  const allowedIn = (one: TemperatureUnit): string => `of ${Number(differenceIn(limits.setting_K, one).toFixed(1))} °${one}`;
  const length = formatDuration(simulation.total_s);
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: space.small,
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
      <FigureBlock
        label="core to skin"
        value={formatDifference(setting, unit)}
        other={formatDifference(setting, otherTemperature(unit))}
        share={setting / limits.setting_K}
        broken={setting > limits.setting_K * 1.001}
        note={allowedIn(unit)}
        otherNote={allowedIn(otherTemperature(unit))}
        testID="live-core-skin"
      />
      <FigureBlock
        label="heat work"
        value={{ figure: percent(work.mean / aim), unit: '%' }}
        share={work.mean / wanted.most}
        broken={workBroken}
        note={`of ${percent(wanted.least / aim)} to ${percent(wanted.most / aim)}`}
        testID="live-work"
      />
      <FigureBlock
        label="pull"
        value={formatStress(pull)}
        other={formatPsi(pull)}
        share={pull / limits.pull_Pa}
        broken={pull > limits.pull_Pa * 1.001}
        note={`of ${text(formatStress(limits.pull_Pa))}`}
        otherNote={`of ${text(formatPsi(limits.pull_Pa))}`}
        testID="live-pull"
      />
      <FigureBlock label="in all" value={length} note={`to ${opens}`} testID="live-length" />
      <Spoken
        text={`Core to skin ${text(formatDifference(setting, unit))}, heat work ${percent(work.mean / aim)} percent, pull ${text(formatStress(pull))}, opens ${opens}.`}
      />
    </View>
  );
});
