/** A schedule for a disc of 12 mm, full fused in a dam: npx tsx docs/api/compose.ts [http://localhost:4310] */
const torvin = process.argv[2] ?? 'http://localhost:4310';

export interface Segment {
  role: string;
  /** Null: as fast as the kiln can. */
  rate_C_per_h: number | null;
  target_C: number;
  hold_s: number;
}

async function ask<T>(path: string, body?: object): Promise<T> {
  const sent = body && { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const answer = await fetch(torvin + path, sent);
  if (!answer.ok) throw new Error(`${answer.status}: ${((await answer.json()) as { message: string }).message}`);
  return (await answer.json()) as T;
}

interface Typical {
  glasses: Record<string, { glass: object }>;
  kilns: Record<string, { kiln: object }>;
  setups: Record<string, { setup: object }>;
}

// SI units and °C throughout; each part of what is typical goes into a request as it is.
const typical = await ask<Typical>('/api/compute/typical');
const sheet = { form: 'sheet', glass: 0, thickness_m: 0.006 };
const schedule = await ask<{ segments: Segment[]; total_s: number }>('/api/compute/compose', {
  look: 'fullFuse',
  body: { footprint: { shape: 'disc', diameter_m: 0.2 }, dammed: true, glasses: [typical.glasses['soft-90'].glass], layers: [sheet, sheet] },
  kiln: typical.kilns.typical.kiln,
  setup: typical.setups.bareShelf.setup,
});

for (const { role, rate_C_per_h, target_C, hold_s } of schedule.segments) {
  const rate = rate_C_per_h === null ? 'full speed' : `${rate_C_per_h.toFixed(0)} °C/h`;
  console.log(`${role}: ${rate} to ${target_C.toFixed(0)} °C, hold ${(hold_s / 60).toFixed(0)} min`);
}
console.log(`${(schedule.total_s / 3600).toFixed(1)} h in all`);
