export interface Stored {
  id: string;
  /** A save names the one that it was based on; a new record names 0. */
  version: number;
}
