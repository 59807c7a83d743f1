/** Every version of this firing's schedule, newest first: named by the studio, taken into use again with a touch. */
import { type TemperatureUnit, formatDuration, formatTemperature, text } from '@torvin/core/units';
import { ENGINE_VERSION } from '@torvin/core/version';
import type { Piece, ScheduleVersion, Step } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { View } from 'react-native';
import { useVersions } from '@/data/pieces';
import { useOutbox } from '@/outbox/useOutbox';
import { countWords } from '@/ui/countWords';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Reading } from '@/ui/Reading';
import { Words } from '@/ui/Words';
import { VERSIONS_PANEL } from './words';
import { WORDS } from '@/ui/said';

export interface VersionsPanelProps {
  piece: Piece;
  step: Step;
  unit: TemperatureUnit;
  onUse(scheduleId: string): void;
}

export function VersionsPanel({ piece, step, unit, onUse }: VersionsPanelProps) {
  const { data } = useVersions(piece.id, true);
  if (!data) return <Reading />;
  const own = data.filter(({ stepId }) => stepId === step.id);
  const numbers = new Map([...own].reverse().map(({ id }, i) => [id, i + 1]));
  return (
    <View role="list">
      {own.map((version) => (
        <Version
          key={version.id}
          version={version}
          number={numbers.get(version.id) ?? 0}
          parent={version.parentId === null ? null : (numbers.get(version.parentId) ?? null)}
          used={version.id === step.scheduleId}
          pieceId={piece.id}
          unit={unit}
          onUse={() => onUse(version.id)}
        />
      ))}
    </View>
  );
}

interface VersionProps {
  version: ScheduleVersion;
  number: number;
  parent: number | null;
  used: boolean;
  pieceId: string;
  unit: TemperatureUnit;
  onUse(): void;
}

function Version({ version, number, parent, used, pieceId, unit, onUse }: VersionProps) {
  const { colours } = useTheme();
  const outbox = useOutbox();
  const [name, setName] = useState(version.name);
  const made = version.origin === 'computed' ? WORDS.calculated : parent === null ? WORDS.changedByHand : VERSIONS_PANEL.changedFrom(parent);
  const keep = (): void => {
    if (name.trim() !== version.name) outbox.put('nameSchedule', { id: version.id, pieceId, name: name.trim() });
  };
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }} testID={`version-${number}`}>
      <Words bold>{`${number}, ${made}${used ? VERSIONS_PANEL.inUse : ''}`}</Words>
      <Words size="label" tone="muted">
        {VERSIONS_PANEL.forInAll(
          format(version.createdAt, 'd MMM yyyy, HH:mm'),
          text(formatTemperature(version.work_C, unit)),
          text(formatDuration(version.work_s)),
          text(formatDuration(version.total_s)),
          version.engine === ENGINE_VERSION ? '' : VERSIONS_PANEL.byEngine(version.engine),
          version.firings === 0 ? VERSIONS_PANEL.notFired : VERSIONS_PANEL.fired(version.firings === 1 ? 'once' : countWords(version.firings, 'time', 'times')),
        )}
      </Words>
      <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.small }}>
        <Field label={VERSIONS_PANEL.nameOfVersion(number)} value={name} onChange={setName} onBlur={keep} onSubmit={keep} testID={`version-name-${number}`} />
        {!used && (
          <Action kind="second" title={VERSIONS_PANEL.taken} label={VERSIONS_PANEL.takenVersion(number)} testID={`use-version-${number}`} onPress={onUse} />
        )}
      </View>
    </View>
  );
}
