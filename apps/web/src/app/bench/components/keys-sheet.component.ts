import { ChangeDetectionStrategy, Component } from '@angular/core';
import { SheetComponent } from './sheet.component';

const KEYS: readonly (readonly [keys: readonly string[], does: string])[] = [
  [[$localize`Ctrl K`], $localize`find an account, go anywhere, do anything`],
  [['↑', '↓'], $localize`to the row above or below`],
  [['→', '←'], $localize`open a branch, close it`],
  [[$localize`Enter`], $localize`edit the row; keep it`],
  [[$localize`Esc`], $localize`leave the row, put a sheet away`],
  [['N'], $localize`new account beside this one`],
  [[$localize`Shift N`], $localize`new account under this one`],
  [['H'], $localize`new heading above the chosen accounts`],
  [[$localize`Alt ↑`, $localize`Alt ↓`], $localize`move among siblings`],
  [[$localize`Alt →`, $localize`Alt ←`], $localize`move deeper, shallower`],
  [['M'], $localize`move under another account`],
  [['O'], $localize`many new accounts at once, as an outline`],
  [['D'], $localize`duplicate, with all below it`],
  [['X', $localize`Shift ↓`], $localize`choose several; Space changes them together, Esc lets go`],
  [[$localize`Alt 1`, '…', '3'], $localize`another likely kind, while a new account is typed`],
  [['G'], $localize`merge into another account`],
  [['P'], $localize`split postings off into new sub-accounts`],
  [[$localize`Delete`], $localize`remove; retire where it has postings`],
  [[$localize`Shift Delete`], $localize`restore: open to new postings again`],
  [[$localize`Space`], $localize`all about this account`],
  [['L'], $localize`the lines of this account, or of the statement’s line`],
  [['1', '…', '9'], $localize`show so many levels`],
  [['S'], $localize`the other statement`],
  [[$localize`Shift S`], $localize`cash flow, changes in equity, trial balance in turn`],
  [['/'], $localize`filter by number or name`],
  [[$localize`Tab`], $localize`to the statement; Enter there goes to the account`],
  [[$localize`Ctrl Z`, $localize`Ctrl Shift Z`], $localize`undo, redo`],
  [['R'], $localize`review the proposal`],
  [[$localize`Ctrl Enter`], $localize`adopt the proposal`],
];

/** What can be done without a mouse. */
@Component({
  selector: 'iu-keys-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SheetComponent],
  template: `
    <iu-sheet i18n-heading heading="Keys">
      <dl tabindex="0">
        @for (row of keys; track row[1]) {
          <dt>
            @for (key of row[0]; track key) {
              <kbd>{{ key }}</kbd>
            }
          </dt>
          <dd>{{ row[1] }}</dd>
        }
      </dl>
    </iu-sheet>
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: max-content 1fr;
      gap: 8px 14px;
      margin: 0;
    }
    dt {
      display: flex;
      align-items: baseline;
      gap: 4px;
    }
    dd {
      margin: 0;
    }
  `,
})
export class KeysSheetComponent {
  protected readonly keys = KEYS;
}
