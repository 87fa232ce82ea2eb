import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import {
  recordOf,
  type AmountsTuple,
  type Chart,
  type FormerTitle,
  type ImportPlan,
  type TermsOf,
} from '@iunctus/core';
import { LIMITS, type FileProblem } from '@iunctus/exchange/reading';
import type {
  Decisions,
  FileSeen,
  ImportFound,
  ImportOpened,
  ImportAnswerMessage,
  ImportQuestionMessage,
} from '../workers/import-messages';
import { createImportWorker } from '../workers/import-worker.factory';

/** What the engine is doing: nothing, reading a file, or lining it up, and how far that is. */
export type ImportProgress =
  | { readonly doing: 'nothing' }
  | { readonly doing: 'reading' }
  | { readonly doing: 'planning'; readonly share: number };

/** What a list is lined up with. */
export interface PlanQuestion {
  readonly sheet: number;
  readonly chart: Chart;
  readonly former: readonly FormerTitle[];
  readonly currency: string;
  readonly today: string;
  readonly decisions: Decisions;
}

/** The worker that reads a file and lines it up with the chart; the newest answers as signals. */
@Injectable()
export class ImportEngine {
  private worker = this.started();
  private serial = 0;
  readonly file = signal<FileSeen | null>(null);
  readonly problem = signal<FileProblem | null>(null);
  readonly plan = signal<ImportPlan | null>(null);
  /** What Tidy would find once the list is in; `null` while nobody looked. */
  readonly findings = signal<ImportFound | null>(null);
  /** The entry that the list's balances would be. */
  readonly opening = signal<ImportOpened | null>(null);
  readonly progress = signal<ImportProgress>({ doing: 'nothing' });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
  }

  /** Reads a file. What was read before is forgotten. */
  async read(file: Blob): Promise<void> {
    this.stop();
    if (file.size > LIMITS.bytes) return this.problem.set({ code: 'tooLarge' });
    this.progress.set({ doing: 'reading' });
    const bytes = new Uint8Array(await file.arrayBuffer());
    this.send({ type: 'read', bytes });
  }

  /** Lines the file up with a chart; a question that is still open is overtaken. */
  ask({ chart, ...question }: PlanQuestion): void {
    this.serial += 1;
    this.progress.set({ doing: 'planning', share: 0 });
    this.send({ type: 'plan', serial: this.serial, chart: recordOf(chart), ...question });
  }

  /** Holds the balances of the list against the books, once it is lined up. */
  askOpening(books: readonly AmountsTuple[], withTaker: boolean): void {
    this.send({ type: 'opening', serial: this.serial, books, withTaker });
  }

  /** Looks through the chart that the list makes, once it is lined up. */
  askFindings(terms: TermsOf): void {
    this.send({ type: 'findings', serial: this.serial, terms });
  }

  /** Stops whatever is being done and forgets the file. */
  stop(): void {
    this.worker.terminate();
    this.worker = this.started();
    this.serial += 1;
    this.file.set(null);
    this.problem.set(null);
    this.plan.set(null);
    this.findings.set(null);
    this.opening.set(null);
    this.progress.set({ doing: 'nothing' });
  }

  private send(message: ImportQuestionMessage): void {
    this.worker.postMessage(message);
  }

  private started(): Worker {
    const worker = createImportWorker();
    worker.addEventListener('message', ({ data }: MessageEvent<ImportAnswerMessage>) =>
      this.take(data),
    );
    // A file that the reader cannot bear takes only the worker with it.
    worker.addEventListener('error', () => {
      this.stop();
      this.problem.set({ code: 'damaged' });
    });
    return worker;
  }

  private take(answer: ImportAnswerMessage): void {
    if ('serial' in answer && answer.serial !== this.serial) return;
    switch (answer.type) {
      case 'read':
        this.file.set(answer.file);
        return this.progress.set({ doing: 'nothing' });
      case 'unreadable':
        this.problem.set(answer.problem);
        return this.progress.set({ doing: 'nothing' });
      case 'told':
        return this.progress.set({ doing: 'planning', share: answer.share });
      case 'planned':
        this.plan.set(answer.plan);
        this.findings.set(null);
        this.opening.set(null);
        return this.progress.set({ doing: 'nothing' });
      case 'found':
        return this.findings.set(answer.findings);
      case 'opened':
        return this.opening.set({ plan: answer.plan, taker: answer.taker });
    }
  }
}
