import { ChangeDetectionStrategy, Component } from '@angular/core';
import { SheetComponent } from './sheet.component';

const KEYS: readonly (readonly [keys: readonly string[], does: string])[] = [
  [['Ctrl K'], 'find an account, go anywhere, do anything'],
  [['↑', '↓'], 'to the row above or below'],
  [['→', '←'], 'open a branch, close it'],
  [['Enter'], 'edit the row; keep it'],
  [['Esc'], 'leave the row, put a sheet away'],
  [['N'], 'new account beside this one'],
  [['Shift N'], 'new account under this one'],
  [['H'], 'new heading above the chosen accounts'],
  [['Alt ↑', 'Alt ↓'], 'move among siblings'],
  [['Alt →', 'Alt ←'], 'move deeper, shallower'],
  [['M'], 'move under another account'],
  [['O'], 'many new accounts at once, as an outline'],
  [['D'], 'duplicate, with all below it'],
  [['X', 'Shift ↓'], 'choose several; Space changes them together, Esc lets go'],
  [['G'], 'merge into another account'],
  [['P'], 'split postings off into new sub-accounts'],
  [['Delete'], 'remove; retire where it has postings'],
  [['Shift Delete'], 'restore: open to new postings again'],
  [['Space'], 'all about this account'],
  [['1', '…', '9'], 'show so many levels'],
  [['S'], 'the other statement'],
  [['/'], 'filter by number or name'],
  [['Tab'], 'to the statement; Enter there goes to the account'],
  [['Ctrl Z', 'Ctrl Shift Z'], 'undo, redo'],
  [['R'], 'review the proposal'],
  [['Ctrl Enter'], 'adopt the proposal'],
];

/** What can be done without a mouse. */
@Component({
  selector: 'iu-keys-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SheetComponent],
  template: `
    <iu-sheet heading="Keys">
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
