import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { offeredSets, SHEET_CODES, type ColumnSet, type DepthCode } from '@iunctus/core';
import { addressOf } from '../../shared/api/api.service';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { OneOfComponent } from '../../shared/components/one-of.component';
import { PickComponent } from '../../shared/components/pick.component';
import { COLUMN_SET_WORDS } from '../../shared/words/column-words';
import { longPeriod } from '../../shared/words/period-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { ClientLayouts } from '../model/client-layouts';
import { DEPTHS } from '../model/depths';
import { plain, terms } from '../../shared/words/terms';

/** Longest notes, in characters. */
const NOTES_LIMIT = 2000;

/** Several statements that leave together: one print or one workbook, with what their preparer notes. */
@Component({
  selector: 'iu-packet-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, OneOfComponent, PickComponent],
  template: `
    <div class="paper">
      <h2 i18n>A packet of statements</h2>
      <p i18n class="muted">
        As adopted, for {{ period() }}, on one print or in one workbook, in this order.
      </p>
      <fieldset>
        <legend i18n>Statements</legend>
        @for (sheet of sheets(); track sheet.code) {
          <label class="sheet">
            @if ($first) {
              <input
                type="checkbox"
                iuFocusFirst
                [checked]="chosen().has(sheet.code)"
                (change)="toggle(sheet.code)"
              />
            } @else {
              <input
                type="checkbox"
                [checked]="chosen().has(sheet.code)"
                (change)="toggle(sheet.code)"
              />
            }
            {{ sheet.words }}
          </label>
        }
      </fieldset>
      <div class="how">
        <iu-pick
          labelled
          [options]="sets()"
          [picked]="columns()"
          label="Columns"
          i18n-label
          (chosen)="columns.set($event)"
        />
        <div class="field">
          <span i18n>Depth</span>
          <iu-one-of
            label="Depth"
            i18n-label
            [options]="depths"
            [chosen]="depth()"
            (choose)="depth.set($event)"
          />
        </div>
      </div>
      <label class="field">
        <span i18n>Notes of the preparer, on a page of their own</span>
        <textarea
          class="text"
          rows="6"
          dir="auto"
          [maxLength]="notesLimit"
          [value]="notes()"
          (input)="notes.set($any($event.target).value)"
        ></textarea>
      </label>
      <p class="buttons">
        @if (files(); as file) {
          <a i18n class="button primary" [href]="file.pdf" target="_blank" rel="noopener">Print</a>
          <a i18n class="button" [href]="file.xlsx" download>Workbook</a>
        } @else {
          <span i18n class="muted">Choose at least one statement.</span>
        }
      </p>
    </div>
  `,
  styles: `
    :host {
      display: block;
      flex: 1;
      overflow: auto;
      padding: 18px;
    }
    .paper {
      display: grid;
      gap: 14px;
      max-width: 640px;
      padding: 20px 24px 22px;
      border: 1px solid var(--rule);
      border-radius: 3px;
      background: var(--sheet);
      box-shadow: var(--lift);
    }
    h2 {
      font-size: 20px;
    }
    p {
      margin: 0;
    }
    fieldset {
      display: grid;
      gap: 4px;
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      padding: 0 0 4px;
      color: var(--ink-2);
      font-size: 12px;
      font-weight: 600;
    }
    .sheet {
      display: flex;
      align-items: center;
      gap: 8px;
      min-height: 26px;
    }
    .how {
      display: flex;
      flex-wrap: wrap;
      gap: 14px;
    }
    .how iu-pick {
      width: 230px;
    }
    .buttons {
      display: flex;
      gap: 8px;
    }
  `,
})
export class PacketPage {
  private readonly main = inject(Store).selectSignal(workspaceFeature.selectPeriod);
  private readonly proposed = inject(ProposedChart);
  private readonly layouts = inject(ClientLayouts);
  readonly clientId = input.required<string>();

  protected readonly depths = DEPTHS;
  protected readonly notesLimit = NOTES_LIMIT;
  /** What can be in it: statements from the chart, and those that are laid out by hand. */
  protected readonly sheets = computed<
    readonly { readonly code: string; readonly words: string }[]
  >(() => [
    ...SHEET_CODES.map((code) => ({ code, words: terms().sheets[code] })),
    ...this.layouts.all().map(({ id, layout }) => ({ code: id, words: layout.name })),
  ]);
  protected readonly sets = computed(() =>
    offeredSets(this.proposed.base()).map((value) => ({ value, words: COLUMN_SET_WORDS[value] })),
  );
  protected readonly chosen = signal<ReadonlySet<string>>(
    new Set(['profitAndLoss', 'balanceSheet', 'cashFlow', 'changesInEquity']),
  );
  protected readonly columns = signal<ColumnSet>('yearBefore');
  protected readonly depth = signal<DepthCode>('2');
  protected readonly notes = signal('');
  protected readonly period = computed(() => {
    const main = this.main();
    return main === null ? '' : longPeriod(main);
  });
  /** Where the packet is had; `null` while nothing is chosen. */
  protected readonly files = computed(() => {
    const [main, chosen] = [this.main(), this.chosen()];
    const sheets = this.sheets()
      .flatMap(({ code }) => (chosen.has(code) ? code : []))
      .join(',');
    if (main === null || sheets === '') return null;
    const notes = this.notes();
    const query = {
      sheets,
      first: main.first,
      last: main.last,
      columns: this.columns(),
      depth: this.depth(),
      ...(notes === '' ? {} : { notes }),
      ...(plain() ? { plain: 'yes' as const } : {}),
    };
    const of = (format: string): string =>
      addressOf('exportChart', { clientId: this.clientId(), format, query });
    return { pdf: of('packet-pdf'), xlsx: of('packet-xlsx') };
  });

  protected toggle(code: string): void {
    this.chosen.update((before) => {
      const chosen = new Set(before);
      if (!chosen.delete(code)) chosen.add(code);
      return chosen;
    });
  }
}
