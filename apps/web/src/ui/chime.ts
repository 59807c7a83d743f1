/** The sound of a call. A browser lets a page sound only after somebody has touched it, so it is made ready by the first touch. */

let context: AudioContext | null = null;

/** To be called while something is being pressed. */
export function readyToSound(): void {
  context ??= new AudioContext();
  void context.resume();
}

export const maySound = (): boolean => context?.state === 'running';

/** Two falling tones, as struck on glass: frequency in Hz, start and length in s. */
const STROKES = [
  { pitch: 1568, at: 0, length: 0.9 },
  { pitch: 1175, at: 0.35, length: 1.2 },
] as const;
const LOUD = 0.5;
const SILENT = 0.0001;
const ATTACK_S = 0.01;

/** False where the browser does not let it. */
export function chime(): boolean {
  if (!context || !maySound()) return false;
  for (const { pitch, at, length } of STROKES) {
    const start = context.currentTime + at;
    const [tone, volume] = [context.createOscillator(), context.createGain()];
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(SILENT, start);
    volume.gain.exponentialRampToValueAtTime(LOUD, start + ATTACK_S);
    volume.gain.exponentialRampToValueAtTime(SILENT, start + length);
    tone.connect(volume).connect(context.destination);
    tone.start(start);
    tone.stop(start + length);
  }
  return true;
}

/** Where the device has it. */
export const shake = (): boolean => navigator.vibrate?.([300, 150, 300]) ?? false;
