import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** Says whether a statement agrees with the trial balance. */
@Component({
  selector: 'iu-agreement-chip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="chip" [class.good]="agrees()" [class.bad]="!agrees()">
      @if (agrees()) {
        <ng-container i18n>Agrees with the trial balance</ng-container>
      } @else {
        <ng-container i18n>Does not agree with the trial balance</ng-container>
      }
    </span>
  `,
})
export class AgreementChipComponent {
  readonly agrees = input.required<boolean>();
}
