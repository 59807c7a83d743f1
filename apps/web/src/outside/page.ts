/** By what name this page is known to the server while it is open. */
import { v7 as uuid } from 'uuid';

export const PAGE = uuid();

/** When it was opened. */
export const OPENED_AT = Date.now();

/** The requests and answers that it knows, by their digest: written into the page when it is built; null while somebody develops. */
export const API = document.querySelector<HTMLMetaElement>('meta[name="torvin-api"]')?.content ?? null;
