import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { type AnswerOf, api } from '@torvin/schema';
import type { Backups } from '../../backup/keeping';
import { packOpenFiles } from '../../store/openFiles';
import { archivesOnly } from '../guard';
import type { Works } from '../route';

/** Backups, as they lie in their folder and as they come from elsewhere, and all of a studio as open files. */
export function backupRoutes({ app, route, db, dataDir, now }: Works, backups: Backups): void {
  route(api.backups, async (): Promise<AnswerOf<typeof api.backups>> => ({ folder: backups.folder, kept: await backups.list(), fault: backups.fault() }));
  route(api.makeBackup, () => backups.make('asked'));
  route(api.deleteBackup, (_, name) => backups.remove(name));
  app.get('/api/backups/:name/file', (request, response) => {
    const path = backups.path(request.params.name);
    response.set('Cache-Control', 'no-store').download(path);
  });
  app.post('/api/backups/restore', archivesOnly, async (request, response) => {
    const part = backups.incoming();
    try {
      await pipeline(request, createWriteStream(part, { flags: 'wx' }));
      const answer = await backups.restore(part).finally(() => rm(part, { force: true }));
      response.json(answer);
    } catch (error) {
      await rm(part, { force: true });
      throw error;
    }
  });
  route(api.restoreBackup, (_, name) => backups.restore(backups.path(name)));
  app.get('/api/files', async (_request, response) => {
    const day = new Date(now()).toISOString().slice(0, 10);
    response.set('Cache-Control', 'no-store').type('zip').attachment(`torvin-files-${day}.zip`);
    await pipeline(packOpenFiles(db, dataDir), response);
  });
}
