/** Addresses that more than one room links to. */

export const runHref = (pieceId: string, stepId: string, page: 'run' | 'key-in' | 'record' = 'run') => `/pieces/${pieceId}/${page}?step=${stepId}` as const;

/** Its rows as they are keyed in, for others of its load too. */
export const keyInHref = (pieceId: string, stepId: string, together = '') =>
  `${runHref(pieceId, stepId, 'key-in')}${together === '' ? '' : `&together=${together}`}` as const;

/** Where a firing is planned: a new one at a place in the journey, or at its end; or one that is to be changed. */
export const planHref = (pieceId: string, { step, place }: { step?: string; place?: number } = {}) =>
  `/pieces/${pieceId}/fire${step !== undefined ? `?step=${step}` : place !== undefined ? `?place=${place}` : ''}` as const;

/** Where several pieces are put into one load. */
export const loadHref = (pieceIds: readonly string[]) => `/bench/load?with=${pieceIds.join(',')}` as const;

/** Where a coat is told of anew: on the same place, of the same release. */
export const recoatHref = (formId: string, { zone = '', releaseId = '' }: { zone?: string; releaseId?: string } = {}) =>
  `/shelves/coated/new?on=${formId}&of=${releaseId}&zone=${encodeURIComponent(zone)}` as const;
