import type { Schedule, Shelves, Snapshot } from '@torvin/schema';

/** The controller as it stands on its shelf now: how it is keyed is a matter of today, whatever was known of it when this was computed. */
export const controllerNow = ({ snapshot: { controller } }: Schedule, { controllers }: Shelves): Snapshot['controller'] =>
  controllers.find(({ id }) => id === controller.id) ?? controller;
