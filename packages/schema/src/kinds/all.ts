/** Every kind of record that there is. A new one is added here. */
import type { z } from 'zod';
import { ControllerSchema, FamilyChangeSchema, FamilySchema, GlassSchema, KilnSchema, StripTestSchema } from '../records';
import { type Kind, kind } from './kind';

export const KINDS = {
  families: kind({ path: 'families', one: 'glass family', many: 'glass families', schema: FamilySchema, change: FamilyChangeSchema }),
  glasses: kind({
    path: 'glasses',
    one: 'glass',
    many: 'glasses',
    schema: GlassSchema,
    inPieces: { list: 'layers', key: 'glassId' },
    names: ({ familyId }) => [{ kind: 'families', id: familyId, path: 'familyId' }],
  }),
  kilns: kind({ path: 'kilns', one: 'kiln', many: 'kilns', schema: KilnSchema, inPieces: { list: 'steps', key: 'kilnId' } }),
  controllers: kind({
    path: 'controllers',
    one: 'controller',
    many: 'controllers',
    schema: ControllerSchema,
    inPieces: { list: 'steps', key: 'controllerId' },
  }),
  stripTests: kind({
    path: 'strip-tests',
    one: 'strip test',
    many: 'strip tests',
    schema: StripTestSchema,
    names: ({ glassA, glassB }) => [
      { kind: 'glasses', id: glassA, path: 'glassA' },
      { kind: 'glasses', id: glassB, path: 'glassB' },
    ],
    newest: ({ testedAt }) => testedAt,
    archives: false,
  }),
};

export type KindName = keyof typeof KINDS;
export const KIND_LIST = Object.keys(KINDS) as KindName[];
export type RecordOf<K extends KindName> = z.output<(typeof KINDS)[K]['schema']>;
export type AnyRecord = { [K in KindName]: RecordOf<K> }[KindName];

export const isKind = (name: string): name is KindName => name in KINDS;

/** As one kind among others: what it holds is known by its schema alone. */
export const kindOf = (name: KindName): Kind => KINDS[name] as unknown as Kind;
