/** Pictures for the demo: each fired piece from above, drawn from its own colours, and each mould. Made up, and they look it. */
import { footprintSpan } from '@torvin/core/body';
import { type FormShape, alongOf } from '@torvin/core/form';
import { type PieceDocument, laidLayers } from '@torvin/core/piece';
import { eq, isNotNull } from 'drizzle-orm';
import sharp from 'sharp';
import { addPhoto } from '../store/photos';
import { allShelves } from '../store/shelfRows';
import type { Database } from '../db/database';
import { firings, pieces, records } from '../db/tables';

const WIDTH = 960;
const HEIGHT = 720;

/** The top face of a piece on a kiln shelf, as SVG. */
function fromAbove(doc: PieceDocument, colourOf: (glassId: string) => string): string {
  const { footprint } = doc;
  const layers = laidLayers(doc);
  const span = footprintSpan(footprint);
  const scale = (0.72 * HEIGHT) / span;
  const round = footprint.shape === 'disc' || footprint.shape === 'oval';
  const [w, h] =
    footprint.shape === 'rectangle' || footprint.shape === 'oval' ? [footprint.width_m * scale, footprint.length_m * scale] : [span * scale, span * scale];
  const shape = (fill: string, opacity: number, inset = 0): string =>
    `<rect x="${(WIDTH - w) / 2 + inset}" y="${(HEIGHT - h) / 2 + inset}" width="${w - 2 * inset}" height="${h - 2 * inset}" rx="${round ? w / 2 : 14}" fill="${fill}" fill-opacity="${opacity}"/>`;
  const lying = layers.filter(({ form }) => form !== 'pieces');
  const standing = layers.flatMap((layer) =>
    layer.form === 'pieces'
      ? Array.from({ length: layer.count }, (_, i) => {
          const x = (WIDTH - w) / 2 + ((i + 0.5) * w) / layer.count;
          return `<rect x="${x - 26}" y="${HEIGHT / 2 - h * 0.3}" width="52" height="${h * 0.6}" rx="22" fill="${colourOf(layer.glassId)}" stroke="#ffffff" stroke-opacity="0.5" stroke-width="5"/>`;
        })
      : [],
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><defs><linearGradient id="light" x2="1" y2="1"><stop stop-color="#fff" stop-opacity="0.5"/><stop offset="0.5" stop-color="#fff" stop-opacity="0"/></linearGradient></defs><rect width="${WIDTH}" height="${HEIGHT}" fill="#c9beb2"/>${lying.map((layer, i) => shape(colourOf(layer.glassId), i === 0 ? 1 : 0.55)).join('')}${shape('url(#light)', 1, 10)}${standing.join('')}</svg>`;
}

/** A mould as one looks down into it, on the kiln shelf. */
function intoMould(form: FormShape): string {
  const [across, along] = [form.across_m + 2 * form.thick_m, alongOf(form) + 2 * form.thick_m];
  const scale = (0.78 * HEIGHT) / Math.max(across, along);
  const shape = (width_m: number, length_m: number, fill: string): string => {
    const [w, h] = [width_m * scale, length_m * scale];
    const corner = form.plan === 'round' || form.plan === 'oval' ? [w / 2, h / 2] : [16, 16];
    return `<rect x="${(WIDTH - w) / 2}" y="${(HEIGHT - h) / 2}" width="${w}" height="${h}" rx="${corner[0]}" ry="${corner[1]}" fill="${fill}"/>`;
  };
  const floor = form.floor_m ?? form.across_m / 3;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><defs><linearGradient id="wall" x2="1" y2="1"><stop stop-color="#8f6f5a"/><stop offset="1" stop-color="#d9bfa9"/></linearGradient></defs><rect width="${WIDTH}" height="${HEIGHT}" fill="#bdb3a8"/>${shape(across, along, '#c9a58b')}${shape(form.across_m, alongOf(form), 'url(#wall)')}${shape(floor, (alongOf(form) * floor) / form.across_m, '#b8957c')}</svg>`;
}

async function taken(db: Database, dataDir: string, drawing: string, now: number): Promise<string> {
  const picture = await sharp(Buffer.from(drawing)).png().toBuffer();
  return (await addPhoto(db, dataDir, picture, now)).hash;
}

export async function addDemoPhotos(db: Database, dataDir: string, now: number): Promise<void> {
  const { glasses, forms } = allShelves(db);
  const colourOf = (glassId: string): string => glasses.find(({ id }) => id === glassId)?.colour ?? '#cccccc';
  const rows = db
    .select({ id: firings.id, doc: pieces.doc })
    .from(firings)
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .where(isNotNull(firings.result))
    .all();
  for (const { id, doc } of rows) {
    const photos = [await taken(db, dataDir, fromAbove(doc, colourOf), now)];
    db.update(firings).set({ photos }).where(eq(firings.id, id)).run();
  }
  for (const { id, version: _version, ...form } of forms.filter(({ use }) => use === 'hollow')) {
    const photos = [await taken(db, dataDir, intoMould(form), now)];
    db.update(records)
      .set({ doc: { ...form, photos } })
      .where(eq(records.id, id))
      .run();
  }
}
