import { type AnswerOf, api } from '@torvin/schema';
import express from 'express';
import { eraseAside, photosAside } from '../../store/photoFiles';
import { addPhoto, photoFile } from '../../store/photos';
import { countLongDeleted, eraseLongDeleted } from '../../store/pieces';
import { picturesOnly } from '../guard';
import type { Works } from '../route';

const PHOTO_LIMIT = '32mb';
const A_YEAR_S = 31536000;

/** Pictures come and go as bytes, so they are no endpoints of the table. */
export function photoRoutes({ app, route, db, dataDir, now }: Works): void {
  app.post('/api/photos', picturesOnly, express.raw({ inflate: false, type: 'image/*', limit: PHOTO_LIMIT }), async (request, response) => {
    response.json(await addPhoto(db, dataDir, request.body, now()));
  });
  app.get('/api/photos/:hash', (request, response) => {
    const file = photoFile(db, dataDir, request.params.hash, request.query.size === 'small' ? 'small' : 'large');
    response.set('Cache-Control', `private, max-age=${A_YEAR_S}, immutable`).type('jpeg').sendFile(file);
  });
  const aside = (): AnswerOf<typeof api.aside> => ({ ...photosAside(dataDir), ...countLongDeleted(db, now()) });
  route(api.aside, aside);
  route(api.eraseAside, () => {
    eraseLongDeleted(db, now());
    eraseAside(dataDir);
    return aside();
  });
}
