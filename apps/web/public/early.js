// What every first view shows, asked for while the app itself is still on its way: see src/outside/early.ts.
{
  const paths = ['/api/studio', '/api/shelves', '/api/loads'];
  if (/^\/(bench\/?)?$/.test(location.pathname)) paths.push('/api/bench');
  const ask = (path) => {
    const answer = fetch(path);
    answer.catch(() => undefined);
    return [path, answer];
  };
  window.torvinEarly = new Map(paths.map(ask));
}
