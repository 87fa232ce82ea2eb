import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import {
  returnLineWords,
  ROUTE_LIMITS,
  SECTION_CODES,
  traceOf,
  type AccountId,
  type Expected,
  type Proof,
  type Sample,
  type SectionCode,
} from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { SampleFormComponent } from './sample-form.component';
import { terms } from '../../shared/words/terms';

/** A proof as it is typed: a sample, and where it must land. */
@Component({
  selector: 'iu-proof-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, PickComponent, SampleFormComponent, TextFieldComponent],
  templateUrl: './proof-form.component.html',
  styles: `
    form {
      display: grid;
      gap: 14px;
    }
    .beside {
      display: flex;
      align-items: end;
      gap: 14px;
    }
    .beside > .muted {
      align-self: center;
    }
    .name {
      flex: 1;
    }
    .section {
      width: 240px;
    }
    .under {
      width: 320px;
    }
    .check {
      align-self: center;
    }
  `,
})
export class ProofFormComponent {
  private readonly proposed = inject(ProposedChart);
  protected readonly client = inject(ClientRoutes);
  /** What it begins with; `null` for a new one. */
  readonly proof = input.required<Proof | null>();
  /** The sample of a new one. */
  readonly begun = input<Sample | null>(null);
  readonly keep = output<Proof>();
  readonly leave = output();

  protected readonly chart = this.proposed.chart;
  protected readonly most = ROUTE_LIMITS.name;
  protected readonly sections = computed<readonly PickOption<SectionCode>[]>(() =>
    SECTION_CODES.map((value) => ({ value, words: terms().sections[value] })),
  );
  protected readonly name = linkedSignal(() => this.proof()?.name ?? '');
  protected readonly sample = signal<Sample | null>(null);
  private readonly landing = computed(() => {
    const [sample, filer] = [this.sample(), this.client.filer()];
    if (sample === null || filer === null) return null;
    return traceOf(sample, { chart: this.chart(), routes: this.client.routes(), filer }).landing;
  });
  /** Where it lands now, under the heading where it stands. */
  private readonly lands = computed<Expected | null>(() => {
    const landing = this.landing();
    if (landing === null) return null;
    return { section: landing.section, underId: landing.path.at(-2) ?? null, returnLine: null };
  });
  /** Where it must land: as it does now, until something else is said. */
  private readonly said = signal<Partial<Expected>>({});
  protected readonly expected = computed<Expected | null>(() => {
    const begun = this.proof()?.expected ?? this.lands();
    const { section } = { ...begun, ...this.said() };
    if (section === undefined) return null;
    return { underId: null, returnLine: null, ...begun, ...this.said(), section };
  });
  /** The line of the return that it lands on now, or must land on. */
  private readonly line = computed(
    () => this.expected()?.returnLine ?? this.landing()?.returnLine ?? null,
  );
  protected readonly lineWords = computed(() => {
    const line = this.line();
    return line === null ? '' : returnLineWords(line);
  });
  protected readonly wrong = computed(() => {
    if (this.sample() === null) return $localize`Say what is put through.`;
    if (this.expected() === null) return $localize`Say in which section it must land.`;
    return this.name().trim() === '' ? $localize`Give it a name.` : '';
  });

  protected chooseSection(section: SectionCode): void {
    this.said.update((said) => ({ ...said, section }));
  }

  protected chooseUnder(underId: AccountId | null): void {
    this.said.update((said) => ({ ...said, underId }));
  }

  protected chooseLine(wanted: boolean): void {
    this.said.update((said) => ({ ...said, returnLine: wanted ? this.line() : null }));
  }

  protected done(): void {
    const [sample, expected] = [this.sample(), this.expected()];
    if (sample === null || expected === null || this.wrong() !== '') return;
    this.keep.emit({ type: 'proof', name: this.name().trim(), sample, expected });
  }
}
