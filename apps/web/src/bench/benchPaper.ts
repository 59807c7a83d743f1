/** The Bench on paper. */
import { RECIPES } from '@torvin/core/look';
import { formatDuration, text } from '@torvin/core/units';
import type { Bench } from '@torvin/schema';
import { format } from 'date-fns/format';
import { type Paper, part, row, said } from '@/paper/paperPages';
import { dayAndClock } from '@/ui/clock';
import { waitsFor } from './waiting';

export function benchPaper({ inKiln, waiting, waitingInAll, recoat, making }: Bench, now: number): Paper {
  const isAt = (at: number): string => dayAndClock(at, new Date(now));
  const standing = inKiln.map(({ kilnName, pieceName, look, load, place, total_s }) =>
    row(
      `${pieceName}, ${RECIPES[look].name.toLowerCase()}`,
      [
        `${kilnName}${place ? `, ${place}` : ''}`,
        load.openedAt !== null
          ? `opened ${isAt(load.openedAt)}; no result recorded yet`
          : `${load.at > now ? 'starts by itself at' : 'started'} ${isAt(load.at)}; by its schedule ${text(formatDuration(total_s))} until it may be opened, ${isAt(load.at + total_s * 1000)}`,
      ],
      load.openedAt !== null ? 'opened' : load.at > now ? 'planned' : 'in the kiln',
    ),
  );
  const more = waitingInAll - waiting.length;
  return {
    title: 'Bench',
    about: `as it stands ${format(now, 'd MMM yyyy, HH:mm')}`,
    blocks: [
      ...part('In the kiln', standing.length > 0 ? standing : [said('Nothing.')]),
      ...part('Waiting', [
        ...waiting.map((waits) =>
          row(waits.piece.name, [`waits for ${waitsFor(waits)}${waits.total_s === null ? '' : `, ${text(formatDuration(waits.total_s))}`}`, ...waits.outdated]),
        ),
        ...(more > 0 ? [said(`and ${more} more`)] : []),
      ]),
      ...part(
        'To recoat',
        recoat.map(({ formName, zone, why }) => row([formName, zone].filter(Boolean).join(', '), [why])),
      ),
      ...part(
        'In the making',
        making.map(({ formName, title, why }) => row(formName, [`${title.toLowerCase()} is next. ${why}`])),
      ),
    ],
  };
}
