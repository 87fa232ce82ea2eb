import { computed, signal } from '@angular/core';
import type { SourceRow } from '@iunctus/core';
import { LIMITS, type FileProblem, type Reading, type Sheet } from '@iunctus/exchange/reading';
import { createFileWorker } from './file-worker.factory';

/** A file with tables: read in a worker, with what of its cells was put right. */
export class TableFile {
  private worker: Worker | null = null;
  readonly name = signal('');
  readonly sheets = signal<readonly Sheet[] | null>(null);
  readonly sheet = signal(0);
  readonly problem = signal<FileProblem | null>(null);
  readonly busy = signal(false);
  /** What was put right, by row and column. */
  private readonly mended = signal<ReadonlyMap<string, string>>(new Map());
  /** The rows of the sheet that was chosen. */
  readonly rows = computed<readonly SourceRow[]>(() => {
    const rows = this.sheets()?.[this.sheet()]?.rows ?? [];
    const mended = this.mended();
    if (mended.size === 0) return rows;
    return rows.map(({ line, cells }) => ({
      line,
      cells: cells.map((cell, column) => mended.get(`${line}/${column}`) ?? cell),
    }));
  });

  /** @param opened is told whenever another sheet is looked at */
  constructor(private readonly opened: () => void) {}

  /** Reads a file; what was read before is forgotten. */
  async take(name: string, file: Blob): Promise<void> {
    this.leave();
    this.name.set(name);
    if (file.size > LIMITS.bytes) return this.problem.set({ code: 'tooLarge' });
    this.busy.set(true);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const worker = createFileWorker();
    this.worker = worker;
    worker.addEventListener('message', ({ data }: MessageEvent<Reading>) => this.hear(data));
    // A file that the reader cannot bear takes only the worker with it.
    worker.addEventListener('error', () => this.hear({ ok: false, problem: { code: 'damaged' } }));
    worker.postMessage(bytes);
  }

  private hear(reading: Reading): void {
    this.stop();
    if (!reading.ok) return this.problem.set(reading.problem);
    this.sheets.set(reading.file.sheets);
    this.chooseSheet(0);
  }

  chooseSheet(sheet: number): void {
    this.sheet.set(sheet);
    this.mended.set(new Map());
    this.opened();
  }

  /** A cell is put right; its column counts from 0. */
  mend(line: number, column: number, text: string): void {
    this.mended.set(new Map([...this.mended(), [`${line}/${column}`, text]]));
  }

  /** Ends what is still being read. */
  stop(): void {
    this.worker?.terminate();
    this.worker = null;
    this.busy.set(false);
  }

  /** Forgets the file. */
  leave(): void {
    this.stop();
    this.sheets.set(null);
    this.mended.set(new Map());
    this.problem.set(null);
  }
}
