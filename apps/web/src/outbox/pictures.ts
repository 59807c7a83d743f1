/**
 * Pictures that have not gone yet. Their bytes are kept in the browser's own database, which holds what localStorage could not;
 * where there is none they live as long as the page. Until the server has named a picture by its content it is called 'local:'
 * and the id of its save.
 */
import { createStore, del, get, set } from 'idb-keyval';
import { readStored, writeStored } from '@/outside/storage';

const LOCAL = 'local:';
const GIVEN = 'torvin-pictures-given';
const GIVEN_AT_MOST = 200;

export const localName = (id: string): string => LOCAL + id;
export const localIdsIn = (photos: readonly string[]): string[] => photos.filter((photo) => photo.startsWith(LOCAL)).map((photo) => photo.slice(LOCAL.length));

const inMemory = new Map<string, Blob>();
let opened: ReturnType<typeof createStore> | null = null;
/** Rejects, too, where there is no database at all. */
const store = async (): Promise<ReturnType<typeof createStore>> => (opened ??= createStore('torvin', 'pictures'));

/** False where it lives only as long as this page. */
export async function keepPicture(id: string, picture: Blob): Promise<boolean> {
  inMemory.set(id, picture);
  return store()
    .then((kept) => set(id, picture, kept))
    .then(
      () => true,
      () => false,
    );
}

export const readPicture = async (id: string): Promise<Blob | undefined> =>
  inMemory.get(id) ??
  (await store()
    .then((kept) => get<Blob>(id, kept))
    .catch(() => undefined));

export async function dropPicture(id: string): Promise<void> {
  inMemory.delete(id);
  await store()
    .then((kept) => del(id, kept))
    .catch(() => undefined);
}

type Given = [id: string, hash: string][];
/** Those of this page, also where the browser keeps nothing. */
const givenHere: Given = [];
const given = (): Given => [...(readStored<Given>('localStorage', GIVEN) ?? []), ...givenHere];

/** The server has taken it: from now on it is called by its content, in what is still to be saved and in kept drafts. */
export function nameGiven(id: string, hash: string): void {
  writeStored('localStorage', GIVEN, [...given(), [id, hash]].slice(-GIVEN_AT_MOST));
  givenHere.push([id, hash]);
}

/** The names that the server knows them by; one that it has not got stays local. */
export function knownNames(photos: readonly string[]): string[] {
  const names = new Map(given());
  return [...new Set(photos.map((photo) => (photo.startsWith(LOCAL) ? (names.get(photo.slice(LOCAL.length)) ?? photo) : photo)))];
}

export const withPhotos = <T extends { photos?: string[] }>(told: T, of: (photos: string[]) => string[]): T =>
  told.photos === undefined ? told : { ...told, photos: of(told.photos) };

export const withoutLocal = (photos: readonly string[]): string[] => knownNames(photos).filter((photo) => !photo.startsWith(LOCAL));
