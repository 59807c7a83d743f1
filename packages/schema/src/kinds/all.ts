/** Every kind of record that there is. A new one is added here. */
import { footprintWords } from '@torvin/core/body';
import { CONTENTS } from '@torvin/core/fit';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { DOORS, type Door, ELEMENT_PLACES, type Elements, TYPICAL_KILN, WALLS, type Wall } from '@torvin/core/kiln';
import { LAYER_KINDS, BOUGHT_FORMS, MADE_FORMS, MADE_NAMES } from '@torvin/core/piece';
import { COATED_BY, type CoatedBy, RELEASE_KINDS, type ReleaseKind } from '@torvin/core/release';
import { LENGTH, METRIC, type Units, formatLength, formatMass, formatTemperature, COAT, suggested, suggestedTop, text } from '@torvin/core/units';
import type { z } from 'zod';
import {
  CoatedSchema,
  FamilyChangeSchema,
  FamilySchema,
  GlassSchema,
  KilnChangeSchema,
  KilnSchema,
  type Made,
  MadeSchema,
  ReleaseChangeSchema,
  ReleaseSchema,
  STRIP_RESULTS,
  StripTestChangeSchema,
  StripTestSchema,
} from '../records';
import { WIRING, controllers } from './controllers';
import { forms } from './forms';
import { materials } from './materials';
import { findings } from './findings';
import { makings } from './makings';
import { NAME, SOURCE, asOptions, difference, lag, length, mass, plain, rate, temperature } from './fields';
import { type About, type Kind, kind } from './kind';
import { KIND_NAMES, type KindName } from './names';

const STRESS = 'Every figure of stress is an estimate: crossed polarisers show what is really there.';

const OPTIONAL = { optional: true, hint: 'left empty, the usual is taken' } as const;
const WALL = { optional: true, folded: 'constants', hint: 'left empty, there is none' } as const;
const TAUGHT = { optional: true, folded: 'constants', hint: 'left empty, plans are as usual' } as const;
const BOUGHT = { optional: true, folded: 'bought', hint: 'left empty, it is not counted' } as const;
const FREE = { optional: true, folded: 'shelves', hint: 'left empty, the usual is taken' } as const;
const FURNISHED = { optional: true, folded: 'shelves' } as const;
const BEHIND = { optional: true, folded: 'places', hint: 'the middle; left empty, with it' } as const;
const PLACES = { optional: true, folded: 'places', hint: 'than the middle; left empty, as hot' } as const;
const ELEMENT_NAMES: Record<Elements, string> = { top: 'in the lid', sides: 'in the walls', both: 'in lid and walls' };
const DOOR_NAMES: Record<Door, string> = { front: 'at the front', lid: 'at the top' };
const WALL_NAMES: Record<Wall, string> = {
  back: 'through the back',
  front: 'through the front',
  left: 'through the left wall',
  right: 'through the right wall',
};
const ROOM = { optional: true, hint: 'left empty, it is not judged' } as const;
const { id: _typical, name: _name, source: _source, ...TYPICAL_GLASS } = TYPICAL_FAMILIES[0];

const families = kind({
  ...KIND_NAMES.families,
  caution: STRESS,
  schema: FamilySchema,
  change: FamilyChangeSchema,
  fields: [
    NAME,
    SOURCE,
    plain('expansion_perK', 'Expansion', '10⁻⁶/K', 1e6),
    temperature('strain_C', 'Strain point', OPTIONAL),
    temperature('annealing_C', 'Annealing point'),
    temperature('softening_C', 'Softening point'),
    plain('density_kg_m3', 'Density', 'kg/m³'),
    plain('surfaceTension_N_m', 'Surface tension of the melt', 'N/m'),
    plain('conductivity_W_mK', 'Conductivity', 'W/(m·K)'),
    plain('heatCapacity_J_kgK', 'Heat capacity', 'J/(kg·K)'),
    plain('youngs_Pa', "Young's modulus", 'GPa', 1e-9),
    plain('poisson', "Poisson's ratio"),
    plain('meltExpansion_perK', 'Expansion of the melt', '10⁻⁶/K', 1e6, OPTIONAL),
    plain('absorption_perM', 'Absorption of heat radiation, for clear thick glass', '1/m', 1, {
      optional: true,
      hint: 'below 2.75 µm; typically 30 for clear glass, 150 tinted, 600 dark. Left empty, as for opal, radiation through it is not counted',
    }),
    plain('hazeBears_s', 'Devitrification limit, as time at its worst', 'h', 1 / 3600, { optional: true, hint: 'left empty, as sheet does' }),
    plain('stressOptical_perPa', 'Stress-optical constant', '10⁻¹²/Pa', 1e12, OPTIONAL),
  ],
  begins: () => TYPICAL_GLASS,
  about({ expansion_perK, annealing_C, softening_C, provisional }, { units }) {
    const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
    return `${provisional ? 'of found glass, ' : ''}${(expansion_perK * 1e6).toFixed(1)}·10⁻⁶/K, anneals at ${degrees(annealing_C)}, softens at ${degrees(softening_C)}`;
  },
});

const FIRST_FORMS = ['sheet', 'cap', 'pieces'] as const;

const glasses = kind({
  ...KIND_NAMES.glasses,
  caution: STRESS,
  schema: GlassSchema,
  fields: [
    NAME,
    SOURCE,
    { as: 'record', key: 'familyId', label: 'Family', of: 'families', testID: 'glass-family' },
    { as: 'colour', key: 'colour', label: 'Colour as drawn', testID: 'glass-colour' },
    {
      ...{ as: 'colour', key: 'coldColour', label: 'Colour before its first firing', testID: 'glass-cold-colour' },
      ...{ optional: true, hint: 'left empty, it is the same; of glass that strikes it is another' },
    },
    { as: 'lengths', key: 'thicknesses_m', label: 'Sheet thicknesses', hint: 'between them a ;', testID: 'glass-sizes' },
    { as: 'several', key: 'forms', label: 'Comes as', options: asOptions(BOUGHT_FORMS, (form) => LAYER_KINDS[form].name), testID: 'glass-form' },
    { as: 'several', key: 'contents', label: 'Contains', options: asOptions(CONTENTS, (content) => content), testID: 'glass-content' },
    { as: 'yes', key: 'coated', label: 'Surface', title: 'metal-coated on one side', testID: 'glass-surface' },
    length('sheetWidth_m', 'A sheet as it is bought, wide', BOUGHT),
    length('sheetLength_m', 'A sheet as it is bought, long', BOUGHT),
    length('billetWidth_m', 'A billet, wide', BOUGHT),
    length('billetLength_m', 'A billet, long', BOUGHT),
    length('billetDepth_m', 'A billet, deep', BOUGHT),
    mass('jar_kg', 'Frit in one jar or bag', BOUGHT),
    mass('scrap_kg', 'Scrap of it that lies there', BOUGHT),
  ],
  begins: (only) => ({
    familyId: only('families'),
    colour: '#9aa8a2',
    thicknesses_m: [0.003],
    forms: [...FIRST_FORMS],
    contents: [],
    coated: false,
  }),
  about: ({ familyId, contents, coated, coldColour }, { nameOf }) =>
    [nameOf('families', familyId), ...contents, ...(coated ? ['coated'] : []), ...(coldColour ? ['strikes'] : [])].join(', '),
  names: ({ familyId }) => [{ kind: 'families', id: familyId, path: 'familyId' }],
});

/** '200 × 300 mm, 12 mm', as it is called. */
export function madeSize({ form, footprint, length_m, thickness_m, count }: Made, { length: unit }: Units): string {
  const thick = text(formatLength(thickness_m, unit));
  const one =
    form === 'frit'
      ? `grains of ${thick}`
      : form === 'cane'
        ? `${thick} across${length_m === undefined ? '' : `, ${text(formatLength(length_m, unit))} long`}`
        : [...(footprint ? [footprintWords(footprint, unit)] : []), `${thick} thick`].join(', ');
  return count > 1 ? `${count} of ${one}` : one;
}

const made = kind({
  ...KIND_NAMES.made,
  caution: STRESS,
  schema: MadeSchema,
  from: 'pieces',
  fixed: ['from', 'stripes', 'lie'],
  fields: [
    NAME,
    { as: 'choice', key: 'form', label: 'What it is', options: asOptions(MADE_FORMS, (form) => MADE_NAMES[form]), testID: 'made-form' },
    plain('count', 'How many were made'),
    length('thickness_m', 'Thickness; of cane across it, of frit its grain'),
    length('length_m', 'Length of a cane', { optional: true, hint: 'left empty of all else' }),
    mass('mass_kg', 'Mass of all of it, as made', { hint: 'as weighed: what is left follows from it' }),
    { as: 'yes', key: 'fragile', label: 'In the hand', title: 'fragile: to be laid by itself', testID: 'made-fragile' },
    { as: 'words', key: 'note', label: 'Note', testID: 'made-note', optional: true, long: true },
  ],
  begins: (only, now) => ({
    ...{ form: 'slab' as const, thickness_m: 0.01, count: 1, mass_kg: 1, lie: 'level' as const, stripes: [{ glassId: only('glasses'), share: 1 }] },
    ...{ fragile: false, heat: null, from: null, note: '', madeAt: now },
  }),
  about(record, { units, nameOf }) {
    const glasses = [...new Set(record.stripes.map(({ glassId }) => nameOf('glasses', glassId)))];
    return [
      `${MADE_NAMES[record.form]}, ${madeSize(record, units)}`,
      [...(glasses.length > 1 ? [glasses.slice(0, -1).join(', ')] : []), glasses[glasses.length - 1]].join(' and '),
      `${text(formatMass(record.mass_kg, units.mass))} made`,
      ...(record.fragile ? ['fragile'] : []),
      ...(record.from ? [`from ${record.from.name}`] : []),
    ].join(' · ');
  },
  columns: [
    { title: 'size', told: (record, { units }) => madeSize(record, units) },
    {
      title: 'made of',
      told: ({ stripes }, { nameOf }) => stripes.map(({ glassId, share }) => `${nameOf('glasses', glassId)} ${(100 * share).toFixed(1)} %`).join('; '),
    },
    { title: 'lies', told: ({ lie }) => lie },
    { title: 'from', told: ({ from }) => from?.name ?? '' },
  ],
  searched: ({ note, stripes }) => `${note} ${stripes.map(({ glassId }) => glassId).join(' ')}`,
  names: ({ stripes }) => stripes.map(({ glassId }, i) => ({ kind: 'glasses', id: glassId, path: `stripes.${i}.glassId` })),
});

const kilns = kind({
  ...KIND_NAMES.kilns,
  caution: WIRING,
  schema: KilnSchema,
  change: KilnChangeSchema,
  fields: [
    NAME,
    SOURCE,
    temperature('top_C', 'Hottest it may be asked for'),
    length('insideWidth_m', 'Inside, wide', ROOM),
    length('insideLength_m', 'Inside, long', ROOM),
    length('insideDiameter_m', 'Inside, across where it is round', ROOM),
    length('insideHeight_m', 'Inside, high', ROOM),
    length('betweenPieces_m', 'Free between pieces', FREE),
    length('fromWalls_m', 'Free to the walls', FREE),
    length('overPieces_m', 'Free over a piece', FREE),
    length('fromElements_m', 'Free to the elements', FREE),
    length('roundProbe_m', 'Free round the thermocouple', FREE),
    {
      as: 'choice',
      key: 'elements',
      label: 'Elements',
      testID: 'kiln-elements',
      options: asOptions(ELEMENT_PLACES, (one) => ELEMENT_NAMES[one]),
      ...FURNISHED,
    },
    { as: 'choice', key: 'door', label: 'It opens', testID: 'kiln-door', options: asOptions(DOORS, (one) => DOOR_NAMES[one]), ...FURNISHED },
    { as: 'choice', key: 'probeFrom', label: 'Thermocouple', testID: 'kiln-probe', options: asOptions(WALLS, (one) => WALL_NAMES[one]), ...FURNISHED },
    length('probeReach_m', 'It reaches in', { ...FREE, when: ({ probeFrom }) => probeFrom !== '' && probeFrom !== undefined }),
    length('post_m', 'Side of a post', FREE),
    difference('leftHotter_K', 'Left', PLACES),
    difference('rightHotter_K', 'Right', PLACES),
    difference('frontHotter_K', 'Front', PLACES),
    difference('backHotter_K', 'Back', PLACES),
    difference('lowHotter_K', 'Low', PLACES),
    difference('highHotter_K', 'High', PLACES),
    plain('leftLag_s', 'Left, behind', 'min', 1 / 60, BEHIND),
    plain('rightLag_s', 'Right, behind', 'min', 1 / 60, BEHIND),
    plain('frontLag_s', 'Front, behind', 'min', 1 / 60, BEHIND),
    plain('backLag_s', 'Back, behind', 'min', 1 / 60, BEHIND),
    plain('lowLag_s', 'Low, behind', 'min', 1 / 60, BEHIND),
    plain('highLag_s', 'High, behind', 'min', 1 / 60, BEHIND),
    temperature('ambient_C', 'Room around it', { folded: 'constants' }),
    rate('power_K_per_s', 'Climb at full power, cold', { folded: 'constants' }),
    plain('connected_W', 'Full power', 'kW', 1e-3, { optional: true, folded: 'constants', hint: 'with it the mass of a load counts' }),
    plain('loss_per_s', 'Loss, of the difference to the room', '1/h', 3600, { folded: 'constants' }),
    plain('radiantLoss_per_K3_s', 'Loss by radiation', '10⁻¹²/(K³·s)', 1e12, { folded: 'constants' }),
    plain('wallExchange_per_s', 'Exchange with a wall that stores heat, of the difference', '1/h', 3600, WALL),
    plain('wallOverChamber', 'Heat that this wall stores, over what the chamber stores', '', 1, WALL),
    lag('acrossLag_s_per_300mm', (span) => `Lag from edge to edge of ${span}`, { folded: 'constants' }),
    difference('offset_K', 'Controller over glass, as firings taught', TAUGHT),
    plain('workFactor', 'Heat work that looks take, times the usual', '', 1, TAUGHT),
    {
      as: 'looks',
      key: 'lookFactors',
      label: 'The same of single looks',
      testID: 'figure-lookFactors',
      ...TAUGHT,
      hint: 'such as Tack fuse 1.1; Slump 0.9; left empty, they go by all looks',
    },
  ],
  begins: () => ({ ...TYPICAL_KILN }),
  about: ({ top_C }, { units }) => `to ${text(formatTemperature(top_C, units.temperature))}`,
});

export const RELEASE_NAMES: Record<ReleaseKind, string> = {
  primer: 'Primer',
  nitrideBrushed: 'Boron nitride, brushed',
  nitrideSprayed: 'Boron nitride, sprayed',
  glossy: 'Glossy paper, burns to a film of clay',
  paper: 'Paper',
  blanket: 'Blanket',
};

const releases = kind({
  ...KIND_NAMES.releases,
  caution: 'Primer, fibre and nitride are dust or mist before they are anything else: respirator, no sweeping dry, air the room while binders burn off.',
  schema: ReleaseSchema,
  change: ReleaseChangeSchema,
  fields: [
    NAME,
    { as: 'choice', key: 'kind', label: 'What it is', options: asOptions(RELEASE_KINDS, (one) => RELEASE_NAMES[one]), testID: 'release-kind' },
    {
      ...plain('weight_kg_m2', 'Weight of paper or blanket', '', 1, { optional: true, hint: 'left empty for what is brushed or sprayed' }),
      of: COAT,
    },
    temperature('top_C', 'Hottest it can go'),
    rate('pace_K_per_s', 'To be warmed no faster than', { optional: true, hint: 'while its binder leaves; left empty where it takes any rate' }),
    temperature('paceTo_C', 'Its binder has left at', { optional: true, hint: 'up to there that rate counts' }),
    plain('firings', 'Firings it lasts'),
    plain('coolFirings', 'The same where no firing is hotter than shaped work', '', 1, {
      optional: true,
      hint: 'a slump or a drape; left empty, as often as under a fuse',
    }),
    plain('yields', 'Coats from a bottle, or sheets from a roll', '', 1, { optional: true, hint: 'left empty where it is not counted' }),
    {
      as: 'day',
      key: 'openedAt',
      label: 'The bottle or roll in use was opened on',
      testID: 'release-opened',
      optional: true,
      hint: 'coats from then on are counted; left empty, all are',
    },
    { as: 'words', key: 'note', label: 'Note', testID: 'release-note', optional: true, long: true },
    SOURCE,
  ],
  begins: () => ({ kind: 'primer' as const, top_C: 850, firings: 1, note: '' }),
  about({ kind: what, top_C, firings }, { units }) {
    return `${RELEASE_NAMES[what]}, to ${text(formatTemperature(top_C, units.temperature))}, lasts ${firings === 1 ? 'one firing' : `${firings} firings`}`;
  },
  searched: ({ note }) => note,
  past: ({ openedAt }) => (openedAt === undefined ? [] : [{ at: openedAt, path: 'openedAt' }]),
});

const stripTests = kind({
  ...KIND_NAMES.stripTests,
  caution: 'Fuse a strip of one on a strip of the other and cool it well. Look at it between crossed polarisers: that counts more than any number.',
  schema: StripTestSchema,
  change: StripTestChangeSchema,
  fields: [
    { as: 'record', key: 'glassA', label: 'One glass', of: 'glasses', testID: 'test-glass-0' },
    { as: 'record', key: 'glassB', label: 'The other', of: 'glasses', testID: 'test-glass-1' },
    { as: 'choice', key: 'result', label: 'Between crossed polarisers it', options: asOptions(STRIP_RESULTS, (result) => result), testID: 'test-result' },
    { as: 'words', key: 'note', label: 'Note', testID: 'test-note', optional: true, long: true },
  ],
  begins: (only, now) => ({ glassA: only('glasses'), glassB: only('glasses'), result: 'holds' as const, note: '', testedAt: now }),
  title: ({ glassA, glassB, result }, { nameOf }) => `${nameOf('glasses', glassA)} with ${nameOf('glasses', glassB)}: ${result}`,
  about: ({ testedAt, note }, { day }) => [day(testedAt), note].filter(Boolean).join(' · '),
  searched: ({ note }) => note,
  names: ({ glassA, glassB }) => [
    { kind: 'glasses', id: glassA, path: 'glassA' },
    { kind: 'glasses', id: glassB, path: 'glassB' },
  ],
  archives: false,
});

const BY_NAMES: Record<CoatedBy, string> = { brush: 'Brush', spray: 'Spray', hand: 'Hand, as a sheet' };

const coated = kind({
  ...KIND_NAMES.coated,
  caution:
    'Primer and nitride are dust or mist before they are anything else: respirator, air the room, wipe wet. Dry a coat before glass lies on it: damp spits.',
  schema: CoatedSchema,
  fields: [
    { as: 'record', key: 'formId', label: 'On', of: 'forms', testID: 'coat-form' },
    { as: 'record', key: 'releaseId', label: 'Of', of: 'releases', testID: 'coat-release' },
    { as: 'words', key: 'zone', label: 'Where on it', testID: 'coat-zone', optional: true, hint: 'the rim, the relief; left empty, all of it' },
    plain('coats', 'Coats'),
    { as: 'choice', key: 'by', label: 'By', options: asOptions(COATED_BY, (by) => BY_NAMES[by]), testID: 'coat-by', optional: true },
    { as: 'day', key: 'coatedAt', label: 'Laid on', testID: 'coat-day', hint: 'firings from that day on are counted' },
    { as: 'yes', key: 'crossed', label: 'How', title: 'each across the one before', testID: 'coat-crossed' },
    { as: 'yes', key: 'scratched', label: 'Seen since', title: 'scratched, flaked or bare', testID: 'coat-scratched' },
    { as: 'words', key: 'note', label: 'Note', testID: 'coat-note', optional: true, long: true },
  ],
  begins: (only, now) => ({
    ...{ formId: only('forms'), releaseId: only('releases'), zone: '', coats: 5, crossed: true, scratched: false, note: '', coatedAt: now },
  }),
  title: ({ formId, zone }, { nameOf }) => [nameOf('forms', formId), zone].filter(Boolean).join(', '),
  about: ({ releaseId, coats, crossed, scratched, coatedAt }, { nameOf, day }) =>
    [
      `${nameOf('releases', releaseId)}, ${coats === 1 ? 'one coat' : `${coats} coats${crossed ? ' crossed' : ''}`}`,
      day(coatedAt),
      ...(scratched ? ['scratched'] : []),
    ].join(' · '),
  searched: ({ note }) => note,
  names: ({ formId, releaseId }) => [
    { kind: 'forms', id: formId, path: 'formId' },
    { kind: 'releases', id: releaseId, path: 'releaseId' },
  ],
  past: ({ coatedAt }) => [{ at: coatedAt, path: 'coatedAt' }],
  archives: false,
});

export const KINDS = { families, glasses, made, kilns, controllers, stripTests, releases, materials, forms, coated, makings, findings } satisfies Record<
  KindName,
  unknown
>;

export type RecordOf<K extends KindName> = z.output<(typeof KINDS)[K]['schema']>;
export type AnyRecord = { [K in KindName]: RecordOf<K> }[KindName];

/** What a record is called: its name, or what it is about. */
export const titleOf = (kind: KindName, record: AnyRecord, about: About): string =>
  'name' in record ? record.name : (kindOf(kind).title?.(record, about) ?? record.id);

/** A new record: what is usual of its kind, sizes and the most heat round in the studio's units, and nothing written yet. only: see Kind.begins. */
export function beginRecord<K extends KindName>(kind: K, id: string, only: (kind: string) => string, now: number, units: Units = METRIC): RecordOf<K> {
  const { fields } = kindOf(kind);
  const usual = Object.entries(KINDS[kind].begins?.(only, now) ?? {}).map(([key, value]) => {
    if (typeof value !== 'number') return [key, value];
    if (key === 'top_C') return [key, suggestedTop(value, units.temperature)];
    const isLength = fields.some((field) => field.key === key && field.as === 'figure' && field.of === LENGTH);
    return [key, isLength ? suggested(value, units.length) : value];
  });
  const unwritten = fields.filter((field) => field.as === 'words' && !field.folded).map(({ key }) => [key, '']);
  return { ...Object.fromEntries(unwritten), ...Object.fromEntries(usual), id, version: 0 } as RecordOf<K>;
}

/** As one kind among others: what it holds is known by its schema alone. */
// Each kind's own functions take its own records, so that a kind of any record is no supertype of them.
// eslint-disable-next-line no-restricted-syntax -- whoever asks by name gives it records of that name
export const kindOf = (name: KindName): Kind => KINDS[name] as unknown as Kind;
