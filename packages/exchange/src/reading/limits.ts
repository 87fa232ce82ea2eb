/** What a file may come to, so that a hostile one does no harm and an honest one always fits. */
export const LIMITS = {
  /** Bytes of the file as it lies on the disk. */
  bytes: 25 * 1024 * 1024,
  /** Bytes of what a packed file comes to. */
  unpackedBytes: 200 * 1024 * 1024,
  rows: 200_000,
  columns: 200,
  /** Characters of one cell. */
  cell: 8_000,
} as const;
