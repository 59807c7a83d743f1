/** Into which program of its controller a schedule is keyed, what stands there until then, and saying that it stands there. */
import type { Controller, PanelRow } from '@torvin/core/controller';
import type { Program } from '@torvin/schema';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { usePrograms, useProgramsComing } from '@/data/programs';
import { useSave } from '@/outbox/useOutbox';
import { alreadyIn, slotFor, slotsOf, standingOf } from './slots';

export interface ReadRows {
  read: readonly PanelRow[];
  slips: number;
}

export interface Keyed {
  scheduleId: string;
  /** What it is of. */
  of: Pick<Program, 'pieceId' | 'pieceName' | 'stepId'>;
  controller: Controller & { id: string; name: string };
  /** As it is to be keyed. */
  rows: readonly PanelRow[];
  /** The controller is a record still; one that is none has no programs. */
  onShelf: boolean;
}

export function useProgram({ scheduleId, of, controller, rows, onShelf }: Keyed) {
  const programs = usePrograms(scheduleId);
  const coming = useProgramsComing(scheduleId);
  const key = useSave('keyProgram');
  const [chosen, setChosen] = useState<{ of: string; slot: number } | null>(null);
  const standing = standingOf(programs, controller.id);
  const already = alreadyIn(standing, rows);
  const isChosen = chosen?.of === scheduleId;
  const slot = isChosen ? chosen.slot : (already?.slot ?? slotFor(controller, standing));
  const there = standing.find((one) => one.slot === slot);
  const older: Program | undefined = there && there.rows.length > 0 && there.scheduleId !== scheduleId ? there : undefined;
  const choose = (next: number): void => setChosen({ of: scheduleId, slot: next });
  return {
    programs,
    /** What stands there is still being read. */
    coming,
    slot,
    choose,
    /** It was said by a person, or shown by what stands there. */
    isChosen,
    /** It has but one. */
    single: slotsOf(controller).last === 1,
    already,
    /** Another schedule's figures, which it shows there until they are keyed over. */
    older,
    /** read: as it was read back; null where nobody looked. */
    stands(read: ReadRows | null): void {
      // Told before it is known which one is free, it would be told of another piece's program.
      if (!onShelf || coming) return;
      const keyedAt = Date.now();
      const told = read ? { rows: [...read.read], readAt: keyedAt, slips: read.slips } : { rows: [...rows] };
      key.save({ id: uuid(), controllerId: controller.id, controllerName: controller.name, slot, scheduleId, of, keyedAt, ...told });
      choose(slot);
    },
  };
}
