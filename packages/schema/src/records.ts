/** What stands on the shelves: families, glasses, strip tests, kilns and controllers, with their source. */
import type { Controller } from '@torvin/core/controller';
import { CONTENTS } from '@torvin/core/fit';
import { type FormShape, type StudioMaterial } from '@torvin/core/form';
import { DOORS, ELEMENT_PLACES, WALLS } from '@torvin/core/kiln';
import { LADDER_FACTORS } from '@torvin/core/learn';
import { LOOKS } from '@torvin/core/look';
import { FLEXIBLES, MAKING_WAYS, MODELS, type Making, STAGES, stagesOf } from '@torvin/core/making';
import { LAYER_FORMS, MADE_FORMS, type ShelfMade, STRIPES_AT_MOST } from '@torvin/core/piece';
import { COATED_BY } from '@torvin/core/release';
import { z } from 'zod';
import {
  CorrectionsSchema,
  aController,
  aForm,
  aKiln,
  coatFields,
  figure,
  FootprintSchema,
  formFields,
  controllerFields,
  GlassConstantsSchema,
  id,
  instant,
  KilnConstantsSchema,
  onACurve,
  oneOf,
  quantity,
  words,
  schemaWith,
} from '@torvin/core/contract';

const recordId = words('Record id', 60, 1);
/** version counts saves; a save names the one it was based on, and a new record names 0. */
const version = quantity('Version', '', 0, 1e9).int();
const named = { id: recordId, name: words('Name', 80, 1), source: words('Source', 200).default(''), version };

/** The source of a record that ships as a stand-in for the studio's own. */
export const TYPICAL_SOURCE = 'typical; write your own over it';

/** provisional: of found glass, its figures taken from another family. */
export const FamilySchema = GlassConstantsSchema.extend({ ...named, provisional: z.literal(true).optional() });
export type Family = z.infer<typeof FamilySchema>;
export const FamilyChangeSchema = onACurve(FamilySchema);

const hexColour = z.string().regex(/^#[0-9a-fA-F]{6}$/, { error: 'A colour is written as # and six hexadecimal digits, such as #8FB5CF.' });

/** A picture of the studio, by its content. */
export const photoHash = z.string().regex(/^[0-9a-f]{64}$/, { error: 'A photo is named by the 64 hexadecimal digits of its content.' });
export const PHOTOS_AT_MOST = 12;
export const photoList = z.array(photoHash).max(PHOTOS_AT_MOST, { error: `At most ${PHOTOS_AT_MOST} photos.` });

const side = (name: string) => quantity(name, 'm', 0.01, 4);

export const GlassSchema = z.strictObject({
  ...named,
  familyId: recordId,
  colour: hexColour,
  /** Before its first firing, of glass that strikes; left out where it is the same. */
  coldColour: hexColour.optional(),
  /** Sheet thicknesses it comes in, m. */
  thicknesses_m: z
    .array(quantity('Thickness', 'm', 0.0005, 0.05))
    .min(1, { error: 'Name at least one thickness.' })
    .max(12),
  forms: z.array(oneOf('Form', LAYER_FORMS)).min(1, { error: 'Name at least one form it comes in.' }),
  /** What is in it that reacts with other glasses at a touch. */
  contents: z.array(oneOf('Content', CONTENTS)),
  /** Metal on one side of the sheet. */
  coated: z.boolean(),
  /** What it is bought and kept as; what is left out is not counted in. */
  sheetWidth_m: side('Width of a sheet').optional(),
  sheetLength_m: side('Length of a sheet').optional(),
  billetWidth_m: side('Width of a billet').optional(),
  billetLength_m: side('Length of a billet').optional(),
  billetDepth_m: quantity('Depth of a billet', 'm', 0.003, 0.2).optional(),
  jar_kg: quantity('Frit in a jar', 'kg', 0.005, 100).optional(),
  scrap_kg: quantity('Scrap', 'kg', 0, 1000).optional(),
});
export type Glass = z.infer<typeof GlassSchema>;

const free = (name: string) => quantity(name, 'm', 0, 0.5);
const behind = (name: string) => quantity(`${name}, behind the middle`, 's', 0, 1800);
const hotter = (name: string) => quantity(`${name}, hotter than the middle`, 'K', -30, 30);

/** What firings have taught of it is taken over here; nothing is as usual. */
export const KilnSchema = KilnConstantsSchema.extend({
  ...named,
  offset_K: quantity('Offset of the controller', 'K', -60, 60).optional(),
  workFactor: CorrectionsSchema.shape.workFactor.optional(),
  lookFactors: CorrectionsSchema.shape.lookFactors,
  /** What has to be free round a piece on its shelves; usual figures where left out. */
  betweenPieces_m: free('Free between pieces').optional(),
  fromWalls_m: free('Free to the walls').optional(),
  overPieces_m: free('Free over a piece').optional(),
  fromElements_m: free('Free to the elements').optional(),
  roundProbe_m: free('Free round the thermocouple').optional(),
  elements: oneOf('Elements', ELEMENT_PLACES).optional(),
  probeFrom: oneOf('Thermocouple', WALLS).optional(),
  probeReach_m: quantity('How far the thermocouple reaches in', 'm', 0.005, 0.5).optional(),
  post_m: quantity('Side of a post', 'm', 0.01, 0.2).optional(),
  door: oneOf('Door', DOORS).optional(),
  leftHotter_K: hotter('Left').optional(),
  rightHotter_K: hotter('Right').optional(),
  frontHotter_K: hotter('Front').optional(),
  backHotter_K: hotter('Back').optional(),
  lowHotter_K: hotter('Low').optional(),
  highHotter_K: hotter('High').optional(),
  ...{ leftLag_s: behind('Left').optional(), rightLag_s: behind('Right').optional(), frontLag_s: behind('Front').optional() },
  ...{ backLag_s: behind('Back').optional(), lowLag_s: behind('Low').optional(), highLag_s: behind('High').optional() },
  connected_W: quantity('Full power', 'W', 100, 1e6).optional(),
});
export type Kiln = z.infer<typeof KilnSchema>;
export const KilnChangeSchema = aKiln(KilnSchema);

export const ControllerSchema = schemaWith<Controller>()(
  z.strictObject({
    ...named,
    ...controllerFields,
  }),
);
export const ControllerChangeSchema = aController(ControllerSchema);

/** What keeps glass from what it lies on or in. */
export const ReleaseSchema = z.strictObject({
  ...named,
  ...coatFields,
  /** Before it is renewed. */
  firings: quantity('Firings it lasts', '', 1, 1000).int({ error: 'The firings it lasts must be a whole number.' }),
  /** The same where it is never hotter than shaped work is. */
  coolFirings: quantity('Firings it lasts under shaped work', '', 1, 1000).int({ error: 'The firings it lasts must be a whole number.' }).optional(),
  /** Since when coats are taken from the bottle or roll that is in use. */
  openedAt: instant.optional(),
  /** Coats from a bottle or can, sheets from a roll. */
  yields: quantity('Coats or sheets', '', 1, 10000).optional(),
  note: words('Note', 400).default(''),
});
export type Release = z.infer<typeof ReleaseSchema>;
export const ReleaseChangeSchema = ReleaseSchema.refine(({ pace_K_per_s, paceTo_C }) => (pace_K_per_s === undefined) === (paceTo_C === undefined), {
  path: ['paceTo_C'],
  error: 'A pace counts up to somewhere: write both, or leave both empty.',
});

/** What moulds and formers are made of that does not ship: most like one that does, with figures of its own. */
export const MaterialSchema = schemaWith<StudioMaterial>()(
  z.strictObject({
    ...named,
    ...{ material: formFields.material, expansion_perK: formFields.expansion_perK.unwrap(), conductivity_W_mK: formFields.conductivity_W_mK },
    ...{ density_kg_m3: formFields.density_kg_m3, heatCapacity_J_kgK: formFields.heatCapacity_J_kgK, top_C: formFields.top_C.unwrap() },
    ...{ pace_K_per_s: formFields.pace_K_per_s, paceTo_C: formFields.paceTo_C },
    note: words('Note', 400).default(''),
  }),
);
export type MaterialRecord = z.infer<typeof MaterialSchema>;
export const MaterialChangeSchema = MaterialSchema.refine(({ pace_K_per_s, paceTo_C }) => (pace_K_per_s === undefined) === (paceTo_C === undefined), {
  path: ['paceTo_C'],
  error: 'A pace counts up to somewhere: write both, or leave both empty.',
});

export const RELIEFS = ['raised', 'sunk'] as const;
export const LETTERINGS = ['none', 'plain', 'mirrored'] as const;

/** What shapes glass: a mould, a former, a dam, a plate that prints, a cavity to cast into, a grid. */
export const FormSchema = schemaWith<FormShape>()(
  z.strictObject({
    ...named,
    ...formFields,
    /** How many of it there are. */
    count: quantity('How many there are', '', 1, 1000).int({ error: 'How many there are must be whole.' }),
    damaged: z.boolean(),
    /** The studio's own material that it is made of. */
    materialId: recordId.optional(),
    /** How often it can be fired, where that is known of such a one. */
    lasts: quantity('Firings it lasts', '', 1, 10000).int({ error: 'The firings it lasts must be a whole number.' }).optional(),
    /** Dry: before its first firing, and weighed last. */
    new_kg: quantity('Mass when new', 'kg', 0.001, 500).optional(),
    now_kg: quantity('Mass now', 'kg', 0.001, 500).optional(),
    /** Holes through which air leaves. */
    vents: quantity('Vent holes', '', 0, 200).int({ error: 'Vent holes are counted whole.' }).optional(),
    /** What on it tells which way it stands in the kiln. */
    mark: words('Mark', 80).optional(),
    /** Of a plate: whether its pattern stands up or lies deep, and how letters read on it. */
    relief: oneOf('Its relief', RELIEFS).optional(),
    lettering: oneOf('Letters on it', LETTERINGS).optional(),
    photos: photoList.optional(),
    note: words('Note', 400).default(''),
  }),
);
export type FormRecord = z.infer<typeof FormSchema>;
export const FormChangeSchema = aForm(FormSchema);

/** What was laid on a form, and when: what has been fired on it since follows from the firings. */
export const CoatedSchema = z.strictObject({
  id: recordId,
  version,
  formId: recordId,
  releaseId: recordId,
  /** Where on it; all of it where nothing is written. */
  zone: words('Where on it', 40).default(''),
  coats: quantity('Coats', '', 1, 40).int({ error: 'Coats are counted whole.' }),
  by: oneOf('How it was laid on', COATED_BY).optional(),
  /** One across the other. */
  crossed: z.boolean(),
  /** Seen since: scratched, flaked, bare in places. */
  scratched: z.boolean(),
  note: words('Note', 200).default(''),
  coatedAt: instant,
});
export type Coated = z.infer<typeof CoatedSchema>;

export const StageToldSchema = z.strictObject({ stage: oneOf('Step', STAGES), at: instant, mass_kg: quantity('Mass', 'kg', 1e-4, 500).optional() });
const STAGES_AT_MOST = 200;
const part = (of: string) => quantity(`Share of ${of}`, '', 0, 100);

/** How one mould is made: of what, and each step of it as it was told. */
export const MakingSchema = schemaWith<Making>()(
  z.strictObject({
    id: recordId,
    version,
    formId: recordId,
    way: oneOf('How it is made', MAKING_WAYS),
    // What a way does not ask for stands as is usual.
    model: oneOf('Its model', MODELS).default('wax'),
    flexible: oneOf('Flexible mould', FLEXIBLES).default('none'),
    rubberCoats: quantity('Coats of rubber', '', 1, 20).int({ error: 'Coats are counted whole.' }).default(4),
    /** Of wax that is a shell. */
    waxWall_m: quantity('Wall of the wax', 'm', 0.0005, 0.1).optional(),
    /** Of the investment, by mass. */
    plasterShare: part('plaster').gt(0, { error: 'Without plaster it does not set: its share is above nothing.' }).default(1),
    silicaShare: part('silica').default(1),
    waterShare: part('water').gt(0, { error: 'Without water it does not set: its share is above nothing.' }).default(1),
    /** The last day on which the bag that it is mixed of is good. */
    bagUntil: instant.optional(),
    note: words('Note', 400).default(''),
    begunAt: instant,
    told: z
      .array(StageToldSchema)
      .max(STAGES_AT_MOST, { error: `At most ${STAGES_AT_MOST} steps and weighings.` })
      .readonly(),
  }),
);
export type MakingRecord = z.infer<typeof MakingSchema>;
export const MakingChangeSchema = MakingSchema.superRefine((making, context) => {
  const order = stagesOf(making);
  making.told.forEach(({ stage, at }, i) => {
    const wrong = (message: string, path: string): void => context.addIssue({ code: 'custom', path: ['told', i, path], message });
    if (i > 0 && at < making.told[i - 1].at) wrong('This step is earlier than the one before it. Enter a later time, or undo that step.', 'at');
    if (!order.includes(stage)) wrong('The steps so far belong to another way of making. Undo them first.', 'stage');
  });
});

/** A strip test of the studio's own: two glasses fused, and what crossed polarisers or the saw showed. */
/** What crossed polarisers show of it. */
export const STRIP_RESULTS = ['holds', 'strained', 'cracked'] as const;

export const StripTestSchema = z.strictObject({
  id,
  /** Left out by what was written before records of every kind were saved alike. */
  version: version.default(0),
  glassA: recordId,
  glassB: recordId,
  result: oneOf('Result', STRIP_RESULTS),
  note: words('Note', 400),
  testedAt: instant,
});
export const StripTestChangeSchema = StripTestSchema.refine(({ glassA, glassB }) => glassA !== glassB, {
  path: ['glassB'],
  error: 'A strip test is of two glasses: choose another one here.',
});

/** What can be told of made glass; thickness_m: of cane across it, of frit its grain. */
export const MADE_RANGES = {
  count: { least: 1, most: 10_000 },
  thickness_m: { least: 1e-5, most: 0.3 },
  length_m: { least: 0.001, most: 10 },
  mass_kg: { least: 1e-6, most: 1000 },
} as const;
const told = (name: string, unit: string, key: keyof typeof MADE_RANGES) => quantity(name, unit, MADE_RANGES[key].least, MADE_RANGES[key].most);

const SHARES_APART = 1e-6;

/** Glass made here: what came out of a piece. What is left of it is what was made less what pieces take, and stands nowhere. */
export const MadeSchema = schemaWith<ShelfMade>()(
  z.strictObject({
    ...named,
    form: oneOf('Form', MADE_FORMS),
    /** Of one of them, seen from above; of pulled cane how long it is, of crushed frit nothing. */
    footprint: FootprintSchema.optional(),
    length_m: told('Length', 'm', 'length_m').optional(),
    /** Of cane, across it; of frit, its grain. */
    thickness_m: told('Thickness', 'm', 'thickness_m'),
    count: told('How many', '', 'count').int({ error: 'How many there are must be whole.' }),
    /** Of all of them, as they were made. */
    mass_kg: told('Mass', 'kg', 'mass_kg'),
    /** Which way what it is of lies in it. */
    lie: oneOf('How its glasses lie', ['level', 'upright', 'crosswise', 'mixed']),
    stripes: z
      .array(z.strictObject({ glassId: recordId, share: quantity('Share', '', 1e-9, 1) }))
      .min(1, { error: 'It must be of at least one glass.' })
      .max(STRIPES_AT_MOST, { error: `At most ${STRIPES_AT_MOST} stripes.` })
      .refine((stripes) => Math.abs(stripes.reduce((sum, { share }) => sum + share, 0) - 1) < SHARES_APART, {
        error: 'The shares of its glasses must come to 1.',
      })
      .readonly(),
    fragile: z.boolean(),
    /** What its firings had done to it by then; null where that is not known. */
    heat: z.strictObject({ work_perPa: figure('1/Pa', 'Heat work').min(0), haze_s: figure('s').min(0).nullable() }).nullable(),
    /** The piece it came from, and what that was called then; it stays named when that is deleted. */
    from: z.strictObject({ pieceId: id, name: words('Name', 80, 1) }).nullable(),
    note: words('Note', 400).default(''),
    madeAt: instant,
  }),
);
export type Made = z.infer<typeof MadeSchema>;

/** More trials are a season, not a series. */
export const TRIALS_AT_MOST = 12;
const found = (name: string) => quantity(name, '', 0, 1e7).meta({ description: 'In °C, s, m or kg/m², by what the trials differ in' });

/** What a test series found, kept under a name. */
export const FindingSchema = z.strictObject({
  ...{ id: recordId, name: words('Name', 80, 1), version },
  look: oneOf('Firing type', LOOKS),
  factor: oneOf('What the trials differ in', LADDER_FACTORS),
  from: found('From'),
  to: found('To'),
  /** Less of it falls short; else more of it does. */
  shortBelow: z.boolean(),
  /** The firings that it was found by. */
  trials: z
    .array(words('Firing', 60, 1))
    .min(2)
    .max(TRIALS_AT_MOST),
  note: words('Note', 400).default(''),
  foundAt: instant,
});
export type FindingRecord = z.infer<typeof FindingSchema>;
export const FindingChangeSchema = FindingSchema.refine(({ from, to }) => from <= to, { path: ['to'], error: 'The range ends where it begins, or beyond.' });
