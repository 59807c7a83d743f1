/** The Bench on paper. */
import { LOOK_NAMES } from '@torvin/core/look';
import { formatDuration, text } from '@torvin/core/units';
import type { Bench } from '@torvin/schema';
import { format } from 'date-fns/format';
import { type Paper, part, row, said } from '@/paper/paperPages';
import { dayAndClock } from '@/ui/clock';
import { waitsFor } from './waiting';
import { BENCH_PAPER } from './words';
import { WORDS } from '@/ui/said';

export function benchPaper({ inKiln, waiting, waitingInAll, recoat, making }: Bench, now: number): Paper {
  const isAt = (at: number): string => dayAndClock(at, new Date(now));
  const standing = inKiln.map(({ kilnName, pieceName, look, load, place, total_s }) =>
    row(
      `${pieceName}, ${LOOK_NAMES[look].toLowerCase()}`,
      [
        `${kilnName}${place ? `, ${place}` : ''}`,
        load.openedAt !== null
          ? BENCH_PAPER.openedNoResult(isAt(load.openedAt))
          : BENCH_PAPER.scheduleUntilMay(load.at > now, isAt(load.at), text(formatDuration(total_s)), isAt(load.at + total_s * 1000)),
      ],
      load.openedAt !== null ? 'opened' : load.at > now ? 'planned' : WORDS.inTheKiln,
    ),
  );
  const more = waitingInAll - waiting.length;
  return {
    title: BENCH_PAPER.bench,
    about: BENCH_PAPER.asItStands(format(now, 'd MMM yyyy, HH:mm')),
    blocks: [
      ...part(BENCH_PAPER.inTheKiln, standing.length > 0 ? standing : [said(BENCH_PAPER.nothing)]),
      ...part(BENCH_PAPER.waiting, [
        ...waiting.map((waits) =>
          row(waits.piece.name, [
            BENCH_PAPER.waitsFor(waitsFor(waits), waits.total_s === null ? '' : `, ${text(formatDuration(waits.total_s))}`),
            ...waits.outdated,
          ]),
        ),
        ...(more > 0 ? [said(BENCH_PAPER.andMore(more))] : []),
      ]),
      ...part(
        BENCH_PAPER.toRecoat,
        recoat.map(({ formName, zone, why }) => row([formName, zone].filter(Boolean).join(', '), [why])),
      ),
      ...part(
        BENCH_PAPER.inTheMaking,
        making.map(({ formName, title, why }) => row(formName, [BENCH_PAPER.isNext(title.toLowerCase(), why)])),
      ),
    ],
  };
}
