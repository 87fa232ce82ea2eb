import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { recordOf, type Chart, type OutlinePlan } from '@iunctus/core';
import type { OutlineAnswer, OutlineQuestion } from '../workers/outline-messages';
import { createOutlineWorker } from '../workers/outline-worker.factory';

/** The worker that understands what is typed; the newest answer as a signal. */
@Injectable()
export class OutlineEngine {
  private readonly worker = createOutlineWorker();
  private serial = 0;
  readonly plan = signal<OutlinePlan>({ lines: [], operations: [] });
  /** Whether the answer is to the newest question. */
  readonly settled = signal(true);

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<OutlineAnswer>) => {
      if (data.serial !== this.serial) return;
      this.plan.set(data.plan);
      this.settled.set(true);
    });
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
  }

  /** Asks what an outline means as new accounts of a chart. */
  ask(chart: Chart, text: string, under: string | null): void {
    this.serial += 1;
    this.settled.set(false);
    const question: OutlineQuestion = {
      serial: this.serial,
      chart: recordOf(chart),
      text,
      under,
    };
    this.worker.postMessage(question);
  }
}
