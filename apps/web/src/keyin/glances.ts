/** What to look at before a firing is started, a glance at the glass and one at the kiln: only what this piece and its set-up ask for. */
import { smokes } from '@torvin/core/release';
import { emptyFiringOf } from '@torvin/core/schedule';
import { type TemperatureUnit, formatTemperature, text } from '@torvin/core/units';
import type { Snapshot } from '@torvin/schema';

export interface Glances {
  /** Whether there is glass in it, or an empty item alone. */
  of: 'glass' | 'ware';
  piece: string[];
  kiln: string[];
}

/** Binders have left by here, where a record says nothing of it, °C. */
const BINDER_GONE_C = 400;
const ON_POSTS: readonly Snapshot['setup']['kind'][] = ['raisedShelf', 'onPosts'];
const SHAPES: readonly Snapshot['setup']['kind'][] = ['inMould', 'inInvestment', 'overFormer'];

export function glancesAt({ firing, setup, layers, madeFrom }: Snapshot, unit: TemperatureUnit): Glances {
  const item = emptyFiringOf(firing) !== null;
  const { wet, coat } = firing.setup;
  const degrees = (celsius: number): string => text(formatTemperature(celsius, unit));
  const coated = layers.filter((layer) => layer.coated);
  const piece = item
    ? ['Whole: no crack, no loose crumb.', ...(wet ? ['Weighed, so that the scales can say when it is dry.'] : [])]
    : [
        'No marker ink, no fingerprint, no residue of grinding; dry.',
        ...coated.map(({ name, coated: side }) => `${name}: its coated side is ${side === 'down' ? 'down' : 'up'}.`),
        firing.body.joined ? 'Fire face up, shelf face down, or turned on purpose.' : 'All lies as it was laid.',
      ];
  const laid = madeFrom?.release !== undefined && smokes(madeFrom.release.coat.kind);
  const binds = setup.paper || laid || coat?.pace !== undefined;
  const vent = wet
    ? 'Vent open until nothing steams or smokes any more.'
    : binds
      ? `Vent open until the binder has left, near ${degrees(coat?.pace?.past_C ?? BINDER_GONE_C)}.`
      : 'Vent as it always is for such a firing.';
  const kiln = [
    ...(ON_POSTS.includes(setup.kind) ? ['Posts stand firm, and level.'] : []),
    'Room all round: nothing near the elements, the wall or the lid.',
    'The thermocouple is free and touches nothing.',
    ...(SHAPES.includes(setup.kind) ? ['The form stands level, its mark to the door.'] : []),
    ...(item ? [] : [coat ? `${coat.name} is whole and dry where the glass will lie.` : 'Primer or paper is whole and dry where the glass will lie.']),
    vent,
  ];
  return { of: item ? 'ware' : 'glass', piece, kiln };
}
