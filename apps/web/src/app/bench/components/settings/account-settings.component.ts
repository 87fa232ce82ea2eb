import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { Store } from '@ngrx/store';
import {
  OFFERED_IN,
  PAYEE_BOXES,
  resolvedSettings,
  RETURN_FORMS,
  returnFormOf,
  usualReturnLine,
  type Account,
  type AccountSettings,
  type BankDetails,
  type ChangeSetting,
  type OfferedIn,
  type SecurityHeld,
  type SettingName,
} from '@iunctus/core';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { sessionFeature } from '../../../session/state/session.feature';
import { ApiService } from '../../../shared/api/api.service';
import { readingOnce } from '../../../shared/api/reading';
import { ProblemNoteComponent } from '../../../shared/components/problem-note.component';
import { PickComponent } from '../../../shared/components/pick.component';
import { ReadingNoteComponent } from '../../../shared/components/reading-note.component';
import { CURRENCIES } from '../../../shared/words/currency-words';
import {
  CASH_FLOW_WORDS,
  CONTROL_WORDS,
  DOCUMENT_WORDS,
  SALES_TAX_WORDS,
  SETTING_WORDS,
} from '../../../shared/words/setting-words';
import { ProposedChart } from '../../../workspace/model/proposed-chart';
import { settingGroups } from '../../model/setting-groups';
import { Sheets } from '../../../workspace/model/sheets';
import { BudgetSettingComponent } from './budget-setting.component';
import { AccountsForDimension } from '../../model/accounts-for-dimension';
import { DimensionSettingComponent } from './dimension-setting.component';
import { SettingRowComponent } from './setting-row.component';
import { TextsSettingComponent, type Texts } from './texts-setting.component';
import { terms } from '../../../shared/words/terms';

const choices = <T extends string>(words: Readonly<Record<T, string>>) =>
  (Object.keys(words) as T[]).map((value) => ({ value, words: words[value] }));

const NO_BANK: BankDetails = {
  institution: '',
  routing: '',
  accountNumber: '',
  nextCheque: '',
  nextDeposit: '',
};
const NO_SECURITY: SecurityHeld = { symbol: '', units: '', quoteSource: '' };

const BANK_FIELDS = [
  { field: 'institution', words: $localize`Institution`, wide: true },
  { field: 'routing', words: $localize`Routing number` },
  { field: 'accountNumber', words: $localize`Account number` },
  { field: 'nextCheque', words: $localize`Next cheque` },
  { field: 'nextDeposit', words: $localize`Next deposit` },
] as const;
const SECURITY_FIELDS = [
  { field: 'symbol', words: $localize`Symbol` },
  { field: 'units', words: $localize`Units` },
  { field: 'quoteSource', words: $localize`Quotes from`, wide: true },
] as const;

/** The further settings of one account, in groups; each is there only where the kind makes sense of it. */
@Component({
  selector: 'iu-account-settings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BudgetSettingComponent,
    DimensionSettingComponent,
    FormsModule,
    PickComponent,
    ProblemNoteComponent,
    ReadingNoteComponent,
    SettingRowComponent,
    TextsSettingComponent,
    ToggleSwitch,
  ],
  providers: [AccountsForDimension],
  templateUrl: './account-settings.component.html',
  styleUrl: './account-settings.component.css',
})
export class AccountSettingsComponent {
  private readonly proposed = inject(ProposedChart);
  protected readonly sheets = inject(Sheets);
  protected readonly apart = inject(AccountsForDimension);
  readonly account = input.required<Account>();
  readonly changed = output<ChangeSetting>();

  protected readonly words = SETTING_WORDS;
  protected readonly noReturn = $localize`No return is known for the client’s country yet.`;
  protected readonly controls = choices(CONTROL_WORDS);
  protected readonly cashFlows = choices(CASH_FLOW_WORDS);
  protected readonly documents = OFFERED_IN.map((value) => ({
    value,
    words: DOCUMENT_WORDS[value],
  }));
  protected readonly salesTaxes = [
    { value: '', words: $localize`As the document says` },
    ...choices(SALES_TAX_WORDS),
  ];
  protected readonly payeeBoxes = [
    { value: '', words: $localize`Not reported` },
    ...choices(PAYEE_BOXES),
  ];
  protected readonly currencies = [{ value: '', words: $localize`Any` }, ...CURRENCIES];

  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly groups = computed(() =>
    settingGroups(this.account(), { chart: this.proposed.chart(), currency: this.currency() }),
  );
  protected readonly resolved = computed(() => resolvedSettings(this.account()));
  protected readonly kindName = computed(() => terms().kinds[this.account().kind]);
  protected readonly dimensions = computed(() => this.proposed.chart().settings.dimensions);

  private readonly filer = computed(() => {
    const client = this.proposed.client();
    return {
      legalForm: client?.legalForm ?? 'corporation',
      country: client?.country ?? '',
      industry: client?.industry ?? null,
    } as const;
  });
  /** The lines of the client's return, or of the general sheet. */
  protected readonly returnForm = computed(() => {
    const code = returnFormOf(this.filer());
    const form = RETURN_FORMS[code];
    return form === undefined ? null : { code, ...form };
  });
  protected readonly returnLine = computed(
    () => this.account().settings.returnLine ?? usualReturnLine(this.account().kind, this.filer()),
  );

  protected readonly returnLines = computed(() => {
    const { name, lines } = this.returnForm() ?? { name: '', lines: [] };
    return [
      {
        value: '',
        words: this.returnLine() === null ? $localize`None` : $localize`The usual of its kind`,
      },
      ...lines.map(({ line, words }) => ({ value: line, words: `${name} ${line}, ${words}` })),
    ];
  });

  private readonly session = inject(Store).selectSignal(sessionFeature.selectSession);
  protected readonly me = computed(() => this.session()?.user.id ?? '');
  private readonly api = inject(ApiService);
  protected readonly everybody = readingOnce(() => this.api.ask('people', {}));
  protected readonly people = computed(() => this.everybody.value() ?? []);

  protected sees(id: string): boolean {
    return this.account().settings.restrictedTo?.includes(id) ?? true;
  }

  /** Whoever restricts an account sees it; when all do, it is open again. */
  protected toggleSight(id: string): void {
    const seeing = this.people().filter((one) => (one.id === id) !== this.sees(one.id));
    const ids = seeing.map((one) => one.id);
    this.set('restrictedTo', ids.length === this.people().length ? null : ids);
  }

  protected readonly bankFields = BANK_FIELDS;
  protected readonly securityFields = SECURITY_FIELDS;
  protected readonly bank = computed<Texts>(() => ({
    ...NO_BANK,
    ...this.account().settings.bank,
  }));
  protected readonly security = computed<Texts>(() => ({
    ...NO_SECURITY,
    ...this.account().settings.security,
  }));

  protected setBank(texts: Texts | null): void {
    this.set('bank', texts === null ? null : { ...NO_BANK, ...texts });
  }

  protected setSecurity(texts: Texts | null): void {
    this.set('security', texts === null ? null : { ...NO_SECURITY, ...texts });
  }

  protected isOwn(setting: SettingName): boolean {
    return this.account().settings[setting] !== undefined;
  }

  protected set<K extends SettingName>(
    setting: K,
    value: NonNullable<AccountSettings[K]> | null,
  ): void {
    // Name and value belong together by their common type.
    this.changed.emit({
      type: 'changeSetting',
      id: this.account().id,
      setting,
      value,
    } as ChangeSetting);
  }

  protected pick<K extends SettingName>(setting: K, value: string): void {
    // The options are the setting's own values; an empty one leaves it to the kind.
    this.set(setting, value === '' ? null : (value as NonNullable<AccountSettings[K]>));
  }

  protected toggleDocument(document: OfferedIn): void {
    const now = this.resolved().offeredIn;
    const next = OFFERED_IN.filter((one) =>
      one === document ? !now.includes(one) : now.includes(one),
    );
    this.set('offeredIn', next);
  }

  protected chooseLine(line: string): void {
    const form = this.returnForm()?.code;
    if (line === '' || form === undefined) return this.set('returnLine', null);
    this.set('returnLine', { form, line, copy: this.returnLine()?.copy ?? 1 });
  }

  protected chooseCopy(event: Event): void {
    const [copy, line] = [Number((event.target as HTMLInputElement).value), this.returnLine()];
    if (line !== null) this.set('returnLine', { ...line, copy });
  }
}
