import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { DepthCode } from '@iunctus/core';
import { OneOfComponent } from '../../shared/components/one-of.component';
import { PickComponent } from '../../shared/components/pick.component';
import type { ColumnsShown } from '../model/columns-shown';
import { DEPTHS } from '../model/depths';

/** Where the statements leave as files. */
export interface StatementFiles {
  readonly pdf: string;
  readonly xlsx: string;
  readonly csv: string;
}

/** How a statement is shown: depth, columns, lines at zero, as proposed or adopted; and where it leaves. */
@Component({
  selector: 'iu-statement-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, PickComponent],
  template: `
    @if (depth(); as depth) {
      <iu-one-of
        label="Depth"
        i18n-label
        [options]="depths"
        [chosen]="depth"
        (choose)="depthChosen.emit($event)"
      />
    }
    @if (columns(); as columns) {
      <iu-pick
        class="sets"
        [options]="columns.sets()"
        [picked]="columns.chosenSet()"
        label="Columns"
        i18n-label
        (chosen)="columns.showSet($event)"
      />
      <button i18n type="button" class="button small add" (click)="columnAdded.emit()">
        Add a column
      </button>
    }
    <button
      type="button"
      class="button quiet small"
      [attr.aria-pressed]="!zeroLines()"
      (click)="zeroLinesChosen.emit(!zeroLines())"
    >
      @if (zeroLines()) {
        <ng-container i18n>All lines</ng-container>
      } @else {
        <ng-container i18n>Non-zero lines</ng-container>
      }
    </button>
    <span class="end">
      <ng-content />
      <button
        type="button"
        class="button quiet small"
        [attr.aria-pressed]="asProposed()"
        (click)="asProposedChosen.emit(!asProposed())"
      >
        @if (asProposed()) {
          <ng-container i18n>As proposed</ng-container>
        } @else {
          <ng-container i18n>As adopted</ng-container>
        }
      </button>
      @if (files(); as file) {
        <a i18n class="button" [href]="file.pdf" target="_blank" rel="noopener">Print</a>
        <a i18n class="button" [href]="file.xlsx" download>Workbook</a>
        <a i18n class="button" [href]="file.csv" download>CSV</a>
      }
    </span>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 10px;
      padding: 12px 18px 10px;
    }
    .sets {
      width: 210px;
    }
    .add {
      border-style: dashed;
    }
    .end {
      display: flex;
      gap: 8px;
      margin-left: auto;
    }
    @media screen and (max-width: 860px) {
      :host {
        padding: 8px 10px;
      }
      .end {
        flex-wrap: wrap;
        margin-left: 0;
      }
    }
  `,
})
export class StatementBarComponent {
  /** `null` where there are no levels. */
  readonly depth = input.required<DepthCode | null>();
  /** `null` where columns are the sheet's own. */
  readonly columns = input.required<ColumnsShown | null>();
  readonly zeroLines = input.required<boolean>();
  readonly asProposed = input.required<boolean>();
  readonly files = input.required<StatementFiles | null>();
  readonly depthChosen = output<DepthCode>();
  readonly columnAdded = output();
  readonly zeroLinesChosen = output<boolean>();
  readonly asProposedChosen = output<boolean>();

  protected readonly depths = DEPTHS;
}
