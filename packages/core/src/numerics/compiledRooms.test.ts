import { CONDUCT_WASM } from '../heat/conduct.wasm';
import { compiledRooms } from './compiledRooms';

interface Exports {
  conduct(n: number, from: number, count: number): void;
}

test('a memory that was given back serves the next one that fits in it, a larger one is made anew', () => {
  const rooms = compiledRooms<Exports>(CONDUCT_WASM);
  const first = rooms.take(1000)!;
  expect(first.doubles.length).toBeGreaterThanOrEqual(1000);
  expect(first.conduct).toBeInstanceOf(Function);
  const second = rooms.take(1000)!;
  expect(second.doubles.buffer).not.toBe(first.doubles.buffer);
  rooms.giveBack(first);
  const larger = rooms.take(first.doubles.length + 1)!;
  expect(larger.doubles.length).toBeGreaterThan(first.doubles.length);
  expect(rooms.take(500)).toBe(first);
});

test('no room where the text does not compile, or the page has no WebAssembly', () => {
  expect(compiledRooms<Exports>(btoa('no such text')).take(100)).toBeNull();
  const there = globalThis.WebAssembly;
  try {
    Reflect.deleteProperty(globalThis, 'WebAssembly');
    expect(compiledRooms<Exports>(CONDUCT_WASM).take(100)).toBeNull();
  } finally {
    globalThis.WebAssembly = there;
  }
});

test('no room on a machine that has none left', () => {
  expect(compiledRooms<Exports>(CONDUCT_WASM).take(2 ** 40)).toBeNull();
});
