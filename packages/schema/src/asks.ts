/** What pages ask the server: the endpoints without what goes there and comes back, which the compiler alone knows. */
import type { AnswerOf, AskedOf, RecordEndpoints, api } from './api';
import { AT, atOfKind } from './at';
import { KIND_NAMES, type KindName } from './kinds/names';

export const asks: AskedOf<typeof api> = AT;
export type AnswerTo<N extends keyof typeof api> = AnswerOf<(typeof api)[N]>;

/** Those of one kind of record. */
export const asksOfKind = (kind: KindName): AskedOf<RecordEndpoints> => atOfKind(KIND_NAMES[kind].path);
