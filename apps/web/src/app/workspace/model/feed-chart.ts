import { effect, inject, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { workspaceFeature } from '../state/workspace.feature';
import type { ChartMessage } from '../workers/followed-chart';

/** Keeps a worker told of the chart that is open, and of its proposal. Called where things are injected. */
export const feedChart = (send: (message: ChartMessage) => void): void => {
  const store = inject(Store);
  const adopted = store.selectSignal(workspaceFeature.selectAdopted);
  const steps = store.selectSignal(workspaceFeature.selectSteps);
  effect(() => {
    const now = adopted();
    if (now !== null) send({ type: 'chart', chart: now.chart, steps: untracked(steps) });
  });
  effect(() => send({ type: 'steps', steps: steps() }));
};
