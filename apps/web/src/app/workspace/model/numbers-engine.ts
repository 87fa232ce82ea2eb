import { computed, DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import {
  recordOf,
  type AccountId,
  type Chart,
  type Crosswalk,
  type FindingOf,
  type FitRequest,
  type WhyChanged,
} from '@iunctus/core';
import { ProposedChart } from './proposed-chart';
import type { NumbersAnswer, NumbersRequest, Purpose } from '../workers/numbers-messages';
import { createNumbersWorker } from '../workers/numbers-worker.factory';

/** How long the chart must rest before its numbers are checked, in milliseconds. */
const REST = 300;

/** The worker that renumbers: checks the chart's numbers whenever it rests, and previews on request. */
@Injectable()
export class NumbersEngine {
  private readonly proposed = inject(ProposedChart);
  private readonly worker = createNumbersWorker();
  private readonly serials: Record<Purpose, number> = { check: 0, preview: 0 };
  private readonly checked = signal<readonly FindingOf<'numberMisfit'>[]>([]);
  /** The renumbering that was asked for last; `null` while it is computed. */
  readonly preview = signal<Crosswalk | null>(null);

  /** What is wrong with the number of each account. */
  readonly misfits = computed<ReadonlyMap<AccountId, WhyChanged>>(
    () =>
      new Map(
        this.checked().flatMap(({ accountIds, facts }) =>
          accountIds.map((id) => [id, facts.why] as const),
        ),
      ),
  );

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<NumbersAnswer>) =>
      this.take(data),
    );
    inject(DestroyRef).onDestroy(() => this.worker.terminate());
    effect((onCleanup) => {
      const chart = this.proposed.chart();
      const { plan, numbered } = chart.settings;
      const timer = setTimeout(() => {
        if (numbered) this.send('check', chart, { plan, movable: null, keep: true });
        else this.checked.set([]);
      }, REST);
      onCleanup(() => clearTimeout(timer));
    });
  }

  /** Asks for a renumbering; the answer comes as `preview`. */
  ask(chart: Chart, request: FitRequest): void {
    this.preview.set(null);
    this.send('preview', chart, request);
  }

  private send(purpose: Purpose, chart: Chart, { plan, movable, keep }: FitRequest): void {
    this.serials[purpose] += 1;
    const request: NumbersRequest = {
      purpose,
      serial: this.serials[purpose],
      chart: recordOf(chart),
      plan,
      movable: movable === null ? null : [...movable],
      keep,
    };
    this.worker.postMessage(request);
  }

  private take(answer: NumbersAnswer): void {
    if (answer.serial !== this.serials[answer.purpose]) return;
    if (answer.purpose === 'check') this.checked.set(answer.findings);
    else this.preview.set(answer.crosswalk);
  }
}
