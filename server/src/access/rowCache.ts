/** The rows of a small table that is asked about with every request. */
export interface RowCache<Row> {
  rows(): Promise<Row[]>;
  /**
   * Runs a change of the table and drops the rows before and after it: a read that falls between
   * the two sees either table, and what it saw does not outlive the change.
   */
  change<T>(write: () => Promise<T>): Promise<T>;
}

/** @param read reads the whole table; a read that fails is not kept */
export function rowCacheOf<Row>(read: () => Promise<Row[]>): RowCache<Row> {
  let kept: Promise<Row[]> | null = null;
  const drop = () => {
    kept = null;
  };
  return {
    rows() {
      if (kept) return kept;
      const reading = read();
      kept = reading;
      reading.catch(() => {
        if (kept === reading) drop();
      });
      return reading;
    },
    async change(write) {
      drop();
      try {
        return await write();
      } finally {
        drop();
      }
    },
  };
}
