/** A piece file as it comes: long lists are read one element at a time, in slices that let others through. */
import { PIECE_FILE_LISTS, type PieceFile, PieceFileSchema, ofOlderFormat } from '@torvin/schema';
import type { z } from 'zod';
import { inSlices } from '../store/slices';
import { BadRequest, MalformedJson } from './errors';
import { read } from './route';
import { mustBeShallow } from './tooDeep';
import { tooLong } from './tooLong';

const LISTS = Object.entries(PIECE_FILE_LISTS) as [keyof typeof PIECE_FILE_LISTS, z.ZodType][];

function parsed(body: unknown): Record<string, unknown> {
  try {
    const file: unknown = JSON.parse(Buffer.isBuffer(body) ? body.toString('utf8') : '');
    return (typeof file === 'object' && file !== null && !Array.isArray(file) ? file : { format: file }) as Record<string, unknown>;
  } catch {
    throw new MalformedJson();
  }
}

export async function readPieceFile(body: unknown): Promise<PieceFile> {
  const rest = inSlices();
  const sent = parsed(body);
  mustBeShallow(sent);
  const file = ofOlderFormat(sent) as Record<string, unknown>;
  await rest();
  // What is in them is looked at as it is read.
  const lengths = LISTS.flatMap(([name]) => (Array.isArray(file[name]) ? [[name, new Array(file[name].length).fill(null)]] : []));
  const long = tooLong(PieceFileSchema, Object.fromEntries(lengths));
  if (long) throw new BadRequest(long);
  const lists: Partial<Record<keyof typeof PIECE_FILE_LISTS, unknown[]>> = {};
  for (const [name, schema] of LISTS) {
    const told = file[name];
    if (!Array.isArray(told)) continue;
    const list: unknown[] = [];
    for (const [i, one] of told.entries()) {
      list.push(read(schema, one, `${name}.${i}`));
      await rest();
    }
    lists[name] = list;
  }
  const empty = Object.fromEntries(Object.keys(lists).map((name) => [name, []]));
  return { ...read(PieceFileSchema, { ...file, ...empty }), ...lists } as PieceFile;
}
