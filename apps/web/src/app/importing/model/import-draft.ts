import {
  computed,
  effect,
  inject,
  Injectable,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { LIMITS } from '@iunctus/exchange/reading';
import type {
  AccountId,
  ClashRule,
  ColumnReading,
  ColumnUse,
  Fate,
  ImportAnswer,
  ImportRow,
  KindCode,
  Mended,
  AmountSides,
  TreeSource,
} from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { readingOnce } from '../../shared/api/reading';
import type { Decisions } from '../workers/import-messages';
import { ImportEngine } from './import-engine';
import type { Decided } from './row-filter';
import { KindLessons } from './kind-lessons';
import { KeptImports, KeptLists, plainDecisions, type KeptDecisions } from './kept-imports';
import { knownFrom, typesAsKnown, usesAsKnown } from './known-lists';

const NO_COLUMNS: ColumnReading = { headingLine: null, headings: [], uses: [] };

const put = <K, V>(map: ReadonlyMap<K, V>, key: K, value: V): ReadonlyMap<K, V> =>
  new Map(map).set(key, value);

const without = <K, V>(map: ReadonlyMap<K, V>, key: K): ReadonlyMap<K, V> =>
  new Map([...map].filter(([other]) => other !== key));

/** What the user has decided about the list that is open; another file or sheet begins anew. */
@Injectable()
export class ImportDraft {
  private readonly engine = inject(ImportEngine);
  private readonly api = inject(ApiService);
  private readonly client = inject(ProposedChart).client;
  private readonly lessons = inject(KindLessons);
  private readonly keptLists = inject(KeptLists);
  private readonly keptDecisions = inject(KeptImports);
  /** Decisions of an earlier visit, for the list that is being opened again. */
  private returning: KeptDecisions | null = null;
  readonly sheet = linkedSignal({
    source: () => this.engine.file(),
    computation: (file) => {
      if (this.returning !== null) return this.returning.sheet;
      const counts = file?.sheets.map(({ count }) => count) ?? [];
      return Math.max(
        0,
        counts.findIndex((count) => count > 1),
      );
    },
  });
  readonly seen = computed(() => this.engine.file()?.sheets[this.sheet()] ?? null);

  /** Why what columns and types mean could not be kept for the next time. */
  readonly unkept = signal<ApiProblem | null>(null);
  /** Lists that the practice brought in before; they are there before a file is. */
  readonly knownLists = readingOnce(() => this.api.ask('knownLists', {}));

  private readonly anew = <T>(value: () => T) =>
    linkedSignal<unknown, T>({ source: () => this.seen(), computation: value });

  /** Decisions that come back with the list: those of the sheet on which they were made. */
  private again(): KeptDecisions | null {
    const { returning } = this;
    return returning !== null && returning.sheet === this.sheet() ? returning : null;
  }

  readonly columns = this.anew<ColumnReading>(() => {
    const seen = this.seen();
    if (seen === null) return NO_COLUMNS;
    return this.again()?.columns ?? usesAsKnown(seen.columns, this.knownLists.value() ?? []);
  });
  readonly treeSource = this.anew<TreeSource | null>(() => this.again()?.treeSource ?? null);
  readonly sides = this.anew<AmountSides | null>(() => this.again()?.sides ?? null);
  private readonly mended = this.anew<ReadonlyMap<number, Mended>>(
    () => new Map(this.again()?.mended),
  );
  private readonly types = this.anew<ReadonlyMap<string, KindCode>>(() => {
    const again = this.again();
    return again === null
      ? typesAsKnown(
          this.seen()?.columns ?? NO_COLUMNS,
          this.knownLists.value() ?? [],
          this.client()?.id,
        )
      : new Map(again.types);
  });
  private readonly answers = this.anew<ReadonlyMap<number, ImportAnswer>>(
    () => new Map(this.again()?.answers),
  );
  private readonly fates = this.anew<ReadonlyMap<AccountId, Fate>>(
    () => new Map(this.again()?.fates),
  );
  readonly clashes = this.anew<ClashRule | null>(() => this.again()?.clashes ?? null);
  /** How the list that was opened is called. */
  readonly name = signal('');

  readonly decisions = computed<Decisions>(() => ({
    columns: this.columns(),
    treeSource: this.treeSource(),
    sides: this.sides(),
    mended: this.mended(),
    types: this.types(),
    taught: this.lessons.taught(),
    answers: this.answers(),
    fates: this.fates(),
    clashes: this.clashes(),
  }));

  constructor() {
    // A file that cannot be read is not tried again at each visit.
    effect(() => {
      if (this.engine.problem() !== null) untracked(() => this.close());
    });
    // Whatever is decided outlasts a reload.
    effect(() => {
      const [client, seen, decisions] = [this.client(), this.seen(), this.decisions()];
      const about = { name: this.name(), sheet: this.sheet() };
      if (client !== null && seen !== null)
        this.keptDecisions.keep(client.id, plainDecisions(decisions, about));
    });
  }

  /** Opens a list; nothing is decided about it yet. */
  async open(name: string, list: Blob): Promise<void> {
    this.returning = null;
    this.name.set(name);
    const client = this.client();
    if (client !== null && list.size <= LIMITS.bytes)
      this.keptLists.keep(client.id, { bytes: new Uint8Array(await list.arrayBuffer()) });
    await this.engine.read(list);
  }

  /** Opens the list that was open when the page was left, with what was decided about it. */
  async bringBack(clientId: string): Promise<void> {
    const [list] = await this.keptLists.of(clientId);
    const [decided] = await this.keptDecisions.of(clientId);
    if (list === undefined || this.engine.file() !== null) return;
    this.returning = decided ?? null;
    this.name.set(decided?.name ?? '');
    await this.engine.read(new Blob([list.bytes]));
  }

  /** Lets the list go, whatever is being done with it. */
  letGo(): void {
    this.close();
    this.engine.stop();
  }

  /** Forgets what this browser keeps of the list. */
  close(): void {
    const client = this.client();
    if (client === null) return;
    this.keptLists.forget(client.id);
    this.keptDecisions.forget(client.id);
  }

  /** What was put into a cell; `undefined` where it is as it came. */
  mendedCell(line: number, use: ColumnUse): string | undefined {
    return this.mended().get(line)?.cells?.[use];
  }

  /** Gives a column another use; the column that had it is passed over from now on. */
  useColumn(column: number, use: ColumnUse | null): void {
    this.columns.update((reading) => ({
      ...reading,
      uses: reading.uses.map((former, at) => {
        if (at === column) return use;
        return use !== null && former === use ? null : former;
      }),
    }));
    this.remember();
  }

  /** Keeps what columns and types mean, so that the same list is understood at once the next time. */
  private remember(): void {
    const client = this.client();
    const list = client === null ? null : knownFrom(this.columns(), this.types(), client.id);
    if (list === null) return;
    // A list that cannot be kept, its headings being too long, say, is only asked about again.
    this.api
      .ask('keepKnownList', { body: list })
      .subscribe({ error: (error: unknown) => this.unkept.set(problemOf(error)) });
  }

  /** Puts one cell of a line right. */
  mendCell(line: number, use: ColumnUse, text: string): void {
    this.mend(line, { cells: { ...this.mended().get(line)?.cells, [use]: text } });
  }

  /** Puts something of a line right. */
  mend(line: number, more: Mended): void {
    this.mended.update((mended) => put(mended, line, { ...mended.get(line), ...more }));
  }

  /** Chooses the kind of a line, which is learned for others of its name. */
  chooseKind({ entry: { line, name } }: ImportRow, kind: KindCode): void {
    this.mend(line, { kind });
    if (name !== '') this.lessons.learn({ name, kind });
  }

  chooseType(text: string, kind: KindCode): void {
    this.types.update((types) => put(types, text, kind));
    this.remember();
  }

  answer(line: number, answer: ImportAnswer): void {
    this.answers.update((answers) => put(answers, line, answer));
  }

  /** Asks again. */
  withdrawAnswer(line: number): void {
    this.answers.update((answers) => without(answers, line));
  }

  /** The lines about which something was decided. */
  readonly decided = computed<Decided>(() => ({
    mended: new Set(this.mended().keys()),
    answered: new Set(this.answers().keys()),
  }));

  answered(line: number): ImportAnswer | undefined {
    return this.answers().get(line);
  }

  decideFate(id: AccountId, fate: Fate): void {
    this.fates.update((fates) => put(fates, id, fate));
  }
}
