/** A certificate that nobody vouches for, as a studio may make one for itself. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generate } from 'selfsigned';

/** Writes it and its key into a folder; the settings that name them. */
export async function certificate(folder: string): Promise<{ TORVIN_CERT: string; TORVIN_KEY: string }> {
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'studio.test' }], { keyType: 'ec' });
  const paths = { TORVIN_CERT: join(folder, 'own.crt'), TORVIN_KEY: join(folder, 'own.key') };
  writeFileSync(paths.TORVIN_CERT, cert);
  writeFileSync(paths.TORVIN_KEY, key);
  return paths;
}
