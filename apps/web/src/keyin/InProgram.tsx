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
          actions={onAsItStands && <Action kind="second" title="Use it as it stands" testID="use-standing" onPress={() => onAsItStands(already)} />}
        >
          {`These figures are in program ${already.slot} already: ${standsWords(already, now)}.`}
        </Notice>
      )}
      {!already && over && (
        <Notice tone="plain" testID="keyed-over">
          {`It stood in program ${over.program.slot} until ${dayAndClock(over.program.keyedOverAt ?? 0, now)}, when ${over.by?.pieceName ?? 'something else'} was keyed over it.`}
        </Notice>
      )}
      {last > first && (
        <View role="group" aria-label="Program" style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
          <Action kind="second" title="−" label="Program before" disabled={coming || slot <= first} testID="slot-less" onPress={() => onSlot(slot - 1)} />
          <View style={{ flex: 1 }}>
            {coming ? (
              <>
                <Words bold>Program …</Words>
                <Words size="label" tone="muted">
                  looking which one is free
                </Words>
              </>
            ) : (
              <>
                <Words bold testID="slot">{`Program ${slot}`}</Words>
                <Words size="label" tone="muted" testID="slot-stands">{`there now: ${standsWords(there, now)}`}</Words>
              </>
            )}
          </View>
          <Action kind="second" title="+" label="Program after" disabled={coming || slot >= last} testID="slot-more" onPress={() => onSlot(slot + 1)} />
        </View>
      )}
    </View>
  );
}
