/** What of this room is used outside of the core. */
export { CONTENTS } from './reactions';
export type { FitVerdict, PairFit } from './fit';
export { fit } from './fit';
export { fitReckoning, fitSentence, pairWords } from './words';
export { type CoatingFinding, coatingFindings } from './coating';
