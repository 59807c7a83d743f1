/** Which program of the controller it is keyed into, what stands there until then, and whether it stands in one already. */
import type { Controller, PanelRow } from '@torvin/core/controller';
import type { Program } from '@torvin/schema';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { dayAndClock } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import { alreadyIn, keyedOverIn, slotsOf, standingOf, standsWords } from './slots';
import { IN_PROGRAM } from './words';

export interface InProgramProps {
  controller: Controller & { id: string };
  scheduleId: string;
  rows: readonly PanelRow[];
  programs: readonly Program[];
  /** They are still being read: none is named before. */
  coming: boolean;
  slot: number;
  onSlot(slot: number): void;
  /** It is fired from where it stands; not asked where it was taken up already. */
  onAsItStands?: (program: Program) => void;
}

export function InProgram({ controller, scheduleId, rows, programs, coming, slot, onSlot, onAsItStands }: InProgramProps) {
  const now = new Date(useNow());
  const standing = standingOf(programs, controller.id);
  const { first, last } = slotsOf(controller);
  const already = alreadyIn(standing, rows);
  const over = keyedOverIn(programs, scheduleId, controller.id);
  const there = standing.find((one) => one.slot === slot);
  return (
    <View style={{ gap: space.hair }}>
      {already && (
        <Notice
          tone="plain"
          testID="already-in"
          actions={onAsItStands && <Action kind="second" title={IN_PROGRAM.takenAsItStands} testID="use-standing" onPress={() => onAsItStands(already)} />}
        >
          {IN_PROGRAM.theseFiguresProgram(already.slot, standsWords(already, now))}
        </Notice>
      )}
      {!already && over && (
        <Notice tone="plain" testID="keyed-over">
          {IN_PROGRAM.stoodProgramUntil(over.program.slot, dayAndClock(over.program.keyedOverAt ?? 0, now), over.by?.pieceName ?? IN_PROGRAM.somethingElse)}
        </Notice>
      )}
      {last > first && (
        <View role="group" aria-label={IN_PROGRAM.program} style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
          <Action
            kind="second"
            title="−"
            label={IN_PROGRAM.programBefore}
            disabled={coming || slot <= first}
            testID="slot-less"
            onPress={() => onSlot(slot - 1)}
          />
          <View style={{ flex: 1 }}>
            {coming ? (
              <>
                <Words bold>{IN_PROGRAM.programUnknown}</Words>
                <Words size="label" tone="muted">
                  {IN_PROGRAM.lookingWhichOne}
                </Words>
              </>
            ) : (
              <>
                <Words bold testID="slot">
                  {IN_PROGRAM.programOf(slot)}
                </Words>
                <Words size="label" tone="muted" testID="slot-stands">
                  {IN_PROGRAM.thereNow(standsWords(there, now))}
                </Words>
              </>
            )}
          </View>
          <Action
            kind="second"
            title="+"
            label={IN_PROGRAM.programAfter}
            disabled={coming || slot >= last}
            testID="slot-more"
            onPress={() => onSlot(slot + 1)}
          />
        </View>
      )}
    </View>
  );
}
