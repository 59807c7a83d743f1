export { type Entry, findAmong, forgiving } from './entries';
export { nearWords, slipsBetween, slipsIn } from './near';
export { type Wanted, soughtIn, wordsOf } from './sought';
