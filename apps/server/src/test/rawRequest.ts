/** A request with headers that fetch would not let anybody set. */
import { request } from 'node:http';

export interface Said {
  method?: string;
  path?: string;
  headers?: Record<string, string>;
  body?: string;
}

export interface Heard {
  status: number;
  headers: NodeJS.Dict<string | string[]>;
  body: string;
}

export function rawRequest(base: string, { method = 'GET', path = '/api/pieces', headers = {}, body }: Said): Promise<Heard> {
  return new Promise((resolve, reject) => {
    const asked = request(
      base + path,
      { method, headers: { ...(body === undefined ? {} : { 'Content-Length': String(Buffer.byteLength(body)) }), ...headers } },
      (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, headers: response.headers, body: text }));
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });
}
