/** Pictures for the demo's firings: each piece from above, drawn from its own colours. Made up, and they look it. */
import { type PieceDocument, footprintSpan, laidLayers } from '@torvin/core';
import { eq, isNotNull } from 'drizzle-orm';
import sharp from 'sharp';
import { addPhoto } from '../store/photos';
import { allShelves } from '../store/records';
import type { Database } from './database';
import { firings, pieces } from './tables';

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

export async function addDemoPhotos(db: Database, dataDir: string, now: number): Promise<void> {
  const { glasses } = allShelves(db);
  const colourOf = (glassId: string): string => glasses.find(({ id }) => id === glassId)?.colour ?? '#cccccc';
  const rows = db
    .select({ id: firings.id, doc: pieces.doc })
    .from(firings)
    .innerJoin(pieces, eq(firings.pieceId, pieces.id))
    .where(isNotNull(firings.result))
    .all();
  for (const { id, doc } of rows) {
    const picture = await sharp(Buffer.from(fromAbove(doc, colourOf)))
      .png()
      .toBuffer();
    const { hash } = await addPhoto(db, dataDir, picture, now);
    db.update(firings)
      .set({ photos: [hash] })
      .where(eq(firings.id, id))
      .run();
  }
}
