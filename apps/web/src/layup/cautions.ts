/**
 * What to take care of, at the place where it matters: one for every set-up and every step of
 * the work; those of a form of glass or a kind of firing stand with it. General practice; the maker's sheets, local codes and licensed people stand above it.
 */
import type { SetUpKind, Wet } from '@torvin/core/schedule';

export const SETUP_CAUTIONS: Record<SetUpKind, string> = {
  bareShelf: 'Brush primer off wet or with a respirator: its dust holds silica and clay.',
  raisedShelf: 'Posts must stand level and cannot be touched hot; a tall stack falls towards whoever opens the door.',
  floorShelf: 'A kiln’s floor hides elements and cracks: clear it of crumbs of glass, which melt into the brick and eat it.',
  board: 'Fibre board and blanket shed fibres: respirator, gloves and long sleeves, and bag the offcuts.',
  inMould: 'A damp mould steams and cracks: dry it slowly first. Plaster and silica dust call for a respirator.',
  inInvestment:
    'A plaster mould holds water long after it feels dry: steam cracks it and spits glass. Weigh it; a respirator for its dust, and a tray of sand under it.',
  onPosts: 'Posts must stand so that nothing can tip when it drops; a blanket under it, and room between.',
  overFormer: 'Steel scales and stays hot long after the glass; boron nitride is sprayed with mask and gloves, brushing is calmer.',
};

export const WET_CAUTIONS: Record<Wet, string> = {
  damp: 'Steam scalds and bursts what it cannot leave: vent open, lid ajar, and nothing sealed over what is damp.',
  glued: 'Glue smokes and may catch fire as it burns away: as little of it as holds, vent open, the room aired.',
};

export const PAPER_CAUTION = 'Fibre paper smokes as its binder burns and is dust afterwards: air the room, respirator, wipe up wet.';

export const WORK_CAUTIONS = {
  kiln: 'A hot kiln burns and its elements are live. Power off before reaching in. Wear a face shield and gloves to look. Keep what can burn away. Wiring and ventilation by licensed people under local codes.',
  keyIn: 'Key it in with the kiln cold and closed, and stay within reach for the first hour. Power off at the switch before a hand goes in.',
  open: 'Open only when it is cool; then tap it for a clear ring, and look through crossed polarisers before you cut or grind. Brush primer off wet, with a respirator.',
  coldWork: 'Grind wet with eye protection and ear defence, a breaker on the circuit; acids and etching creams by their makers’ sheets alone.',
  stress: 'Every figure of stress is an estimate: crossed polarisers show what is really there.',
} as const;
