/** Requests that strayed: to a path that is not there, by a method that it has not, with a body that is no JSON. */
import type { Express, Request, RequestHandler } from 'express';
import { notJson } from './guard';

/** Throws where there is a body of another kind. */
export function mustBeJson(request: Request): void {
  const hasBody = request.get('Transfer-Encoding') !== undefined || Number(request.get('Content-Length') ?? 0) > 0;
  if (hasBody && !request.is('application/json')) throw notJson(request);
}

/** The methods that a path has, in capitals. */
function methodsAt(app: Express, path: string): string[] {
  // What a router keeps is not all in its types.
  const found = app.router.stack.flatMap((layer) => {
    const { route } = layer;
    // What serves the pages is there for any path.
    const isThere = route && String(route.path).startsWith('/api') && 'match' in layer && typeof layer.match === 'function' && Boolean(layer.match(path));
    return isThere && 'methods' in route ? Object.keys(route.methods as object) : [];
  });
  const methods = found.map((method) => method.toUpperCase());
  return [...new Set(methods.includes('GET') ? [...methods, 'HEAD'] : methods)].sort();
}

/** The last under /api: nothing before it has answered. */
export const notThere =
  (app: Express): RequestHandler =>
  ({ method, baseUrl, path, originalUrl }, response) => {
    const methods = methodsAt(app, baseUrl + path);
    if (methods.length === 0)
      return void response.status(404).json({ code: 'unknown-path', path: originalUrl, message: `There is no ${method} ${originalUrl}.` });
    response
      .status(405)
      .set('Allow', methods.join(', '))
      .json({ code: 'wrong-method', path: originalUrl, message: `${baseUrl + path} takes ${methods.join(', ')}, not ${method}.` });
  };
