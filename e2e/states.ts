/** States that a test begins from, made through the API by the core's own commands; what hands do to come there is driven once, elsewhere. */
import type { Footprint } from '@torvin/core/body';
import type { Look } from '@torvin/core/look';
import { FIRST_LAID_ID, type LaidLayer, type LayerForm, addStep, firingsOf, inForm, snapshotOf } from '@torvin/core/piece';
import { compose } from '@torvin/core/schedule';
import { METRIC, parseLength } from '@torvin/core/units';
import { type Entry, type FormRecord, type Piece, type Schedule, type Shelves, type Step, forms, readEntry } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { type StepEntry, entryOfStep, stepOf } from '../apps/web/src/planner/stepEntry';

const USUAL_SHEET_M = 0.003;

async function send<T>(method: string, url: string, body?: object): Promise<T> {
  const response = await fetch(url, { method, ...(body ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}) });
  const answer = (await response.json()) as T & { message?: string };
  if (response.status !== 200) throw new Error(`${method} ${url}: ${response.status}, ${answer.message}`);
  return answer;
}

const metres = (typed: string): number => {
  const length = parseLength(typed, 'mm');
  if (!length.ok) throw new Error(length.problem.message);
  return length.value;
};

const shelvesAt = (address: string): Promise<Shelves> => send('GET', `${address}/api/shelves`);
export const pieceAt = (address: string, id: string): Promise<Piece> => send('GET', `${address}/api/pieces/${id}`);

/** The layer that a new piece begins with: of sheet the size on the shelf that is nearest the usual. */
async function firstLayer(address: string, glassId: string, form: LayerForm): Promise<LaidLayer> {
  const { glasses } = await shelvesAt(address);
  const sizes = glasses.find(({ id }) => id === glassId)?.thicknesses_m ?? [];
  const thickness_m = [...sizes].sort((a, b) => Math.abs(a - USUAL_SHEET_M) - Math.abs(b - USUAL_SHEET_M))[0] ?? USUAL_SHEET_M;
  return inForm({ id: uuid(), glassId, form: 'sheet', thickness_m }, form);
}

/** A new piece of one layer, its sizes as they would be typed. */
export async function beginPiece(address: string, name: string, size: Record<string, string>, glassId: string, form: LayerForm = 'sheet'): Promise<string> {
  const footprint: Footprint =
    'diameter' in size
      ? { shape: 'disc', diameter_m: metres(size.diameter) }
      : { shape: 'rectangle', width_m: metres(size.width), length_m: metres(size.length) };
  const typed = Object.fromEntries(Object.entries(size).map(([key, words]) => [key, /[a-z"]/i.test(words) ? words : `${words} mm`]));
  const journey = [{ kind: 'lay', id: FIRST_LAID_ID, side: 'above', layers: [await firstLayer(address, glassId, form)] }];
  const id = uuid();
  await send('POST', `${address}/api/pieces`, { id, name, doc: { schemaVersion: 3, footprint, dammed: false, typed, journey } });
  return id;
}

/** A firing at the end of a piece's journey, composed and saved as the page would; its step's id. typed: what its planner asks for. */
export async function planFiring(address: string, pieceId: string, look: Look, typed: Partial<StepEntry> = {}): Promise<string> {
  const [shelves, piece] = [await shelvesAt(address), await pieceAt(address, pieceId)];
  // As its planner is filled when the kind is chosen.
  const entry = entryOfStep(piece.doc, null, shelves, METRIC, { look, ...typed });
  const outcome = stepOf(entry, null, METRIC, shelves);
  if (!outcome.step) throw new Error(outcome.faults.map(({ field, message }) => `${field}: ${message}`).join(' '));
  const step: Step = outcome.step;
  const edited = addStep(piece.doc, step);
  if (!edited.ok) throw new Error(edited.problem.message);
  const { doc, what } = edited.value;
  const saved = await send<Piece>('PUT', `${address}/api/pieces/${pieceId}`, { version: piece.version, name: piece.name, doc, what });
  const snapshot = snapshotOf(doc, step, shelves);
  if (!snapshot.ok) throw new Error(snapshot.problem.message);
  const composed = compose(snapshot.value.firing);
  if (!composed.ok) throw new Error(composed.problem.message);
  const { segments } = composed.value;
  await send('POST', `${address}/api/pieces/${pieceId}/schedules`, {
    ...{ id: uuid(), stepId: step.id, pieceVersion: saved.version, parentId: null, origin: 'computed', segments },
  });
  return step.id;
}

/** The schedule in use of a piece's last firing. */
export async function scheduleAt(address: string, pieceId: string): Promise<Schedule> {
  const step = firingsOf((await pieceAt(address, pieceId)).doc).at(-1);
  return send('GET', `${address}/api/schedules/${step?.scheduleId}`);
}

const HOUR_MS = 3600e3;

/** That firing told of, so many hours ago, whatever else was in the kiln then. */
export async function tellFired(address: string, pieceId: string, result: 'right' | 'short' | 'past', hoursAgo: number, more: object = {}): Promise<void> {
  const { id: scheduleId } = await scheduleAt(address, pieceId);
  const told = { id: uuid(), pieceId, scheduleId, firedAt: Date.now() - hoursAgo * HOUR_MS, zone: 'UTC', result, atOnce: true, ...more };
  await send('POST', `${address}/api/firings`, told);
}

/** Its rows as they ran, the hottest so many kelvins hotter. */
export async function ranHotter(address: string, pieceId: string, hotter_K: number): Promise<{ asFired: Schedule['segments'] }> {
  const { segments } = await scheduleAt(address, pieceId);
  return { asFired: segments.map((one) => (one.role === 'work' ? { ...one, target_C: one.target_C + hotter_K } : one)) };
}

/** A form on the shelf, as its page would save what was typed and chosen; its id. */
export async function putForm(address: string, name: string, typed: Entry): Promise<string> {
  const id = uuid();
  const begun = { ...(forms.begins?.(() => '', Date.now()) as FormRecord), id, version: 0, name, source: '' };
  const read = readEntry(forms, begun, typed, METRIC);
  if (!read.ok) throw new Error(read.faults.map(({ path, message }) => `${path}: ${message}`).join(' '));
  await send('PUT', `${address}/api/forms/${id}`, read.record);
  return id;
}
