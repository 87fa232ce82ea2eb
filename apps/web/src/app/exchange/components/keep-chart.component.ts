import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { KeepChartAnswer } from '@iunctus/contract';
import { catchError, EMPTY } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { readingOnce } from '../../shared/api/reading';
import { PickComponent } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';

/** Keeping a client's adopted chart as one of the practice's own: a new one, or the next version of one. */
@Component({
  selector: 'iu-keep-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent, ProblemNoteComponent, ReadingNoteComponent],
  template: `
    <iu-reading-note [of]="charts" />
    <form (submit)="keep($event)">
      <iu-pick
        labelled
        i18n-label
        label="As"
        [options]="choices()"
        [picked]="chosen()"
        (chosen)="chosen.set($event)"
      />
      @if (chosen() === '') {
        <label class="field">
          <span i18n>Called</span>
          <input
            class="text"
            maxlength="80"
            autocomplete="off"
            [value]="name()"
            (input)="name.set(valueOf($event))"
          />
        </label>
      }
      <label class="field note">
        <span i18n>Note</span>
        <input
          class="text"
          maxlength="400"
          autocomplete="off"
          [value]="note()"
          (input)="note.set(valueOf($event))"
        />
      </label>
      <button i18n class="button" [disabled]="chosen() === '' && name().trim() === ''">
        Keep this chart
      </button>
    </form>
    @if (kept(); as answer) {
      <p i18n class="good" role="status">
        Kept as version {{ answer.version }}. Clients can begin from it.
      </p>
    }
    @if (problem(); as found) {
      <iu-problem-note [problem]="found" />
    }
  `,
  styles: `
    form {
      display: flex;
      align-items: end;
      gap: 12px;
    }
    .field {
      width: 200px;
    }
    .note {
      flex: 1;
    }
    .good {
      margin-top: 8px;
      color: var(--good);
      font-weight: 600;
    }
  `,
})
export class KeepChartComponent {
  private readonly api = inject(ApiService);
  readonly clientId = input.required<string>();
  protected readonly charts = readingOnce(() => this.api.ask('keptCharts', {}));
  protected readonly choices = computed(() => [
    { value: '', words: $localize`a new starting chart` },
    ...(this.charts.value() ?? []).map(({ id, name }) => ({
      value: id,
      words: $localize`the next version of ${name}`,
    })),
  ]);
  protected readonly chosen = signal('');
  protected readonly name = signal('');
  protected readonly note = signal('');
  protected readonly kept = signal<KeepChartAnswer | null>(null);
  protected readonly problem = signal<ApiProblem | null>(null);

  protected valueOf(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected keep(event: Event): void {
    event.preventDefault();
    this.kept.set(null);
    this.problem.set(null);
    const [id, name] = [this.chosen(), this.name().trim()];
    const request = {
      keptChartId: id === '' ? null : id,
      name: id === '' ? name : null,
      note: this.note(),
    };
    this.api
      .ask('keepChart', { clientId: this.clientId(), body: request })
      .pipe(
        catchError((error: unknown) => {
          this.problem.set(problemOf(error));
          return EMPTY;
        }),
      )
      .subscribe((answer) => this.kept.set(answer));
  }
}
