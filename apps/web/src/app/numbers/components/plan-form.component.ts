import { OneOfComponent } from '../../shared/components/one-of.component';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { levelsExample, planProblemWords } from '../../shared/words/number-words';
import { NumbersModel } from '../model/numbers-model';
import { RangesTableComponent } from './ranges-table.component';
import { SegmentsFormComponent } from './segments-form.component';

const READY_MADE = [3, 4, 5, 6].map((value) => ({ value, words: $localize`${value} digits` }));

/** The number plan: how long numbers are, how levels share them, and which kinds stand where. */
@Component({
  selector: 'iu-plan-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, FormsModule, RangesTableComponent, SegmentsFormComponent, ToggleSwitch],
  templateUrl: './plan-form.component.html',
  styleUrl: './plan-form.component.css',
})
export class PlanFormComponent {
  protected readonly numbers = inject(NumbersModel);
  protected readonly readyMade = READY_MADE;
  protected readonly problems = computed(() =>
    this.numbers.problems().map((problem) => planProblemWords(problem, this.numbers.plan())),
  );
  protected readonly example = computed(() =>
    this.numbers.problems().length === 0 ? levelsExample(this.numbers.plan()) : '',
  );
  protected readonly levelsText = computed(() => this.numbers.plan().levels.join(' '));

  protected setDigits(digits: number | null): void {
    if (digits !== null && Number.isInteger(digits)) this.numbers.change({ digits });
  }

  protected setStep(step: number | null): void {
    this.numbers.change({ step: step ?? 0 });
  }

  protected setLevels(text: string): void {
    const levels = text.split(/\D+/).flatMap((part) => (part === '' ? [] : Number(part)));
    this.numbers.change({ levels });
  }
}
