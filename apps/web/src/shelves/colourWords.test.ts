import { colourWords } from './colourWords';

test.each([
  ['#ffffff', 'white'],
  ['#000000', 'black'],
  ['#9aa8a2', 'grey'],
  ['#d9b310', 'yellow'],
  ['#8fb5cf', 'blue'],
  ['#cfe3f1', 'pale blue'],
  ['#1d2f5c', 'deep blue'],
  ['#2f6b3c', 'deep green'],
  ['#b1123a', 'red'],
  ['#c96a8f', 'pink'],
  ['#6b3d12', 'brown'],
  ['#e8731c', 'orange'],
  ['#12a0a0', 'blue-green'],
  ['blue', ''],
])('%s is %s', (hex, words) => {
  expect(colourWords(hex)).toBe(words);
});
