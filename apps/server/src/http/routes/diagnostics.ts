import { ENGINE_VERSION } from '@torvin/core/version';
import { type AnswerOf, api } from '@torvin/schema';
import type { Access } from '../../access/access';
import { isEverywhere, isLoopback, isLoopbackName } from '../../access/addresses';
import type { Backups } from '../../backup/keeping';
import { bytesIn, countsOf, sqliteVersion } from '../../store/diagnostics';
import { readStudio } from '../../store/studio';
import { ownApi } from '../apiDigest';
import type { LastLines } from '../lastLines';
import type { Works } from '../route';

export interface About {
  version: string;
  schema: number;
  host: string;
  names: readonly string[];
  trustsLoopback: boolean;
  isFull(): boolean;
}

/** What goes with a report of a fault. */
export function diagnosticsRoutes({ route, db, dataDir, now }: Works, access: Access, backups: Backups, lines: LastLines, about: About): void {
  route(api.diagnostics, async (_, _id, _query, _sent, { request }): Promise<AnswerOf<typeof api.diagnostics>> => {
    const { temperatureUnit, lengthUnit, massUnit, theme, csv } = readStudio(db);
    const { version, schema, host, names, trustsLoopback } = about;
    return {
      at: now(),
      versions: {
        ...{ torvin: version, engine: ENGINE_VERSION, schema: String(schema), api: ownApi() },
        ...{ node: process.version, sqlite: sqliteVersion(db), system: `${process.platform} ${process.arch}` },
      },
      settings: {
        ...{ temperatureUnit, lengthUnit, massUnit, theme, csv },
        listens: isLoopback(host) || isLoopbackName(host) ? 'on this computer alone' : isEverywhere(host) ? 'everywhere' : 'at one address',
        ...{ furtherNames: String(names.length), trustsLoopback, https: request.secure, passcode: access.hasPasscode(), diskFull: about.isFull() },
      },
      counts: { ...countsOf(db), devices: access.devices().length, backups: (await backups.list()).length },
      ...bytesIn(dataDir),
      memory_bytes: process.memoryUsage().rss,
      up_s: Math.round(process.uptime()),
      log: [...lines.lines()],
    };
  });
}
