/** Every form that shapes glass, by its kind. A new one is its file and a line here. */
import { cavity, core, reservoir } from './cavity';
import type { Figures, ShapingKind } from './declare';
import { drain } from './drain';
import { former } from './former';
import { hollow } from './hollow';
import { press } from './press';
import { ring } from './ring';
import { strips } from './strips';
import { emptyItem } from './ware';

export const SHAPINGS = { hollow, former, strips, ring, press, cavity, core, reservoir, drain, ware: emptyItem } as const satisfies {
  [K in ShapingKind]: Figures<K>;
};
