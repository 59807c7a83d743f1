import type { PurposefulSegment, Series } from '@torvin/core';
import type { Piece, Step } from '@torvin/schema';
import { lookIn, standingAt } from './byClock';
import { waitingPieces } from './waiting';

const segments: PurposefulSegment[] = [
  { role: 'work', rate_C_per_h: 300, target_C: 800, hold_s: 600 },
  { role: 'drop', rate_C_per_h: null, target_C: 500, hold_s: 0 },
];
/** Climbs for 1000 s, holds for 600, drops for 400. */
const series: Series = {
  t_s: [0, 500, 1000, 1300, 1600, 1800, 2000],
  kiln_C: [20, 400, 800, 800, 800, 650, 500],
  skin_C: [20, 390, 790, 798, 800, 660, 505],
  core_C: [20, 380, 780, 795, 800, 680, 510],
  joints: [
    { rampEnd: 2, holdEnd: 4 },
    { rampEnd: 6, holdEnd: 6 },
  ],
};

describe('a firing by the clock', () => {
  test.each([
    [0, 0, false, 1600],
    [999, 0, false, 1600],
    [1000, 0, true, 1600],
    [1700, 1, false, 2000],
  ])('after %d s runs segment %d', (seconds, segment, holding, ends_s) => {
    expect(standingAt(series, seconds)).toMatchObject({ segment, holding, ends_s, over: false });
  });

  test('tells what the kiln and the core have now, and when it is over', () => {
    expect(standingAt(series, 1300)).toMatchObject({ kiln_C: 800, core_C: 795 });
    expect(standingAt(series, 2000)).toMatchObject({ segment: null, over: true, kiln_C: 500 });
    expect(standingAt(series, 9999)).toMatchObject({ over: true });
    expect(standingAt(series, -60)).toMatchObject({ segment: 0, kiln_C: 20 });
  });

  test('is to be looked into while it holds at its hottest', () => {
    expect(lookIn(series, segments)).toEqual({ from_s: 1000, to_s: 1600 });
  });
});

describe('what a piece waits for', () => {
  const step = (id: string, look: Step['look'], scheduleId: string | null = 's'): Step => ({
    id,
    look,
    setup: { kind: 'bareShelf', paper: false },
    kilnId: 'k',
    controllerId: 'c',
    school: { soak: 'auto', heat: 'cooler' },
    scheduleId,
    computedId: null,
  });
  const piece = (steps: Step[]): Piece => ({
    ...{ id: 'p', name: 'Plaque', version: 1, createdAt: 0, updatedAt: 0, undo: null, redo: null },
    doc: {
      schemaVersion: 2,
      footprint: { shape: 'disc', diameter_m: 0.2 },
      dammed: false,
      typed: {},
      layers: [{ id: 'a', form: 'sheet', glassId: 'g', thickness_m: 0.003 }],
      steps,
    },
  });
  const chain = [step('fuse', 'fullFuse'), step('slump', 'slump')];
  const fired = (stepId: string, result: 'short' | 'right' | 'past' | null) => ({ stepId, firingId: `f ${stepId}`, firedAt: 1, result });

  test.each([
    ['nothing planned', [], [], 'a firing to be chosen'],
    ['a plan without a schedule', [step('fuse', 'fullFuse', null)], [], 'the schedule of its full fuse'],
    ['a schedule', chain, [], 'the kiln, for its full fuse'],
    ['a fuse that fell short', chain, [fired('fuse', 'short')], 'another full fuse: the last fell short'],
    ['a fuse that went past', chain, [fired('fuse', 'past')], 'a decision: its full fuse went past'],
    ['a fuse that is right', chain, [fired('fuse', 'right')], 'the kiln, for its slump'],
  ] as const)('with %s is said', (_, steps, done, words) => {
    expect(waitingPieces([piece([...steps])], [...done]).map((waits) => waits.for)).toEqual([words]);
  });

  test('what is done, or stands in the kiln, waits for nothing', () => {
    expect(waitingPieces([piece(chain)], [fired('fuse', 'right'), fired('slump', 'right')])).toEqual([]);
    expect(waitingPieces([piece(chain)], [fired('fuse', null)])).toEqual([]);
  });
});
