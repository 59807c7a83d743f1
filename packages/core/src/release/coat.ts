/** What keeps glass from what it lies on or in: brushed or sprayed on, or laid between; glossy paper burns to a film of clay; and what it bears. */
export const RELEASE_KINDS = ['primer', 'nitrideBrushed', 'nitrideSprayed', 'glossy', 'paper', 'blanket'] as const;
export type ReleaseKind = (typeof RELEASE_KINDS)[number];

export interface Coat {
  kind: ReleaseKind;
  /** Of paper and blanket, kg/m². */
  weight_kg_m2?: number;
  /** Hottest it can go, °C. */
  top_C: number;
  /** No faster than this, K/s, until what binds it has left, °C; as fast as all else bears where they are left out. */
  pace_K_per_s?: number;
  paceTo_C?: number;
}

/** Whether something in it burns away and smokes. */
export const smokes = (kind: ReleaseKind): boolean => kind === 'glossy' || kind === 'paper' || kind === 'blanket';

/** Whether it is a layer of its own, which heat has to pass. */
export const isLaid = (kind: ReleaseKind): kind is 'paper' | 'blanket' => kind === 'paper' || kind === 'blanket';
