/** Files that Metro bundles as assets. */
declare module '*.woff2' {
  const asset: number;
  export default asset;
}
