/** What helps to find a fault and tells nothing of a studio's work: versions, settings, how many there are of what, what was logged last. */
import { count, figure, instant } from '@torvin/core/contract';
import { z } from 'zod';
import { KIND_LIST, type KindName } from './kinds/names';

const COUNTED = ['pieces', 'schedules', 'firings', 'loads', 'programs', 'pictures', 'devices', 'backups'] as const;
const names = [...COUNTED, ...KIND_LIST] as [string, ...string[]];

export const DiagnosticsSchema = z
  .object({
    at: instant,
    versions: z.record(z.string(), z.string()).meta({ description: 'The program, its engine, its database, and the system under it' }),
    settings: z.record(z.string(), z.union([z.string(), z.boolean()])).meta({ description: 'As they were chosen; no address and no name' }),
    counts: z.partialRecord(z.enum(names), count('Of what stands')).meta({ description: 'How many records of each kind, pieces, firings and the rest' }),
    database_bytes: figure('bytes', 'Of the database with its log'),
    free_bytes: figure('bytes', 'Free on its disk'),
    memory_bytes: figure('bytes', 'Of the server'),
    up_s: figure('s', 'Since the server was started'),
    log: z.array(z.string()).meta({ description: 'What was logged last, oldest first: without names, notes and addresses' }),
  })
  .meta({ id: 'Diagnostics' });
export type Diagnostics = z.infer<typeof DiagnosticsSchema>;
export type DiagnosticCounts = Partial<Record<(typeof COUNTED)[number] | KindName, number>>;
