import { computed, inject, Injectable, signal } from '@angular/core';
import {
  FINDING_CODES,
  LIMIT_NAMES,
  LIMIT_RANGES,
  NO_WISHES,
  RULE_NAMES,
  RULE_SORTS,
  SORT_OF,
  USUAL_LIMITS,
  WISHED_WORDS,
  type FindingCode,
  type LimitName,
  type RuleSort,
  type RuleWishes,
  type Severity,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { FindingsEngine } from '../../workspace/model/findings-engine';
import { ProposedChart } from '../../workspace/model/proposed-chart';

/** For whom something is wanted: the client that is open, or all clients of the practice. */
export type WishedFor = 'client' | 'practice';

/** How much a rule may matter, or that it is as usual. */
export type Mattering = Severity | 'off' | 'usual';

/** A limit of a rule, as it counts here, and whether that was said here. */
export interface LimitRow {
  readonly name: LimitName;
  readonly value: number;
  readonly isOwn: boolean;
}

/** A rule, with what is wanted of it here and what holds otherwise. */
export interface RuleRow {
  readonly code: FindingCode;
  readonly name: string;
  readonly matters: Mattering;
  /** What holds where nothing is wanted here. */
  readonly otherwise: Mattering;
  readonly limits: readonly LimitRow[];
  /** How many there are of it now. */
  readonly count: number;
}

const SORT_WORDS: Readonly<Record<RuleSort, string>> = {
  statement: $localize`What is on the statements`,
  duplicates: $localize`The same twice`,
  shape: $localize`Shape`,
  numbers: $localize`Numbers`,
  use: $localize`Use`,
  names: $localize`Names`,
};

const without = <K extends string, V>(
  record: Readonly<Partial<Record<K, V>>>,
  key: K,
): Readonly<Partial<Record<K, V>>> =>
  Object.fromEntries(Object.entries(record).filter(([one]) => one !== key)) as Partial<
    Record<K, V>
  >;

/** What the practice and the client want of the rules, and the changing of it; each change is kept at once. */
@Injectable()
export class RuleDesk {
  private readonly engine = inject(FindingsEngine);
  private readonly api = inject(ApiService);
  private readonly proposed = inject(ProposedChart);
  readonly doing = new Doing();
  readonly of = signal<WishedFor>('client');

  private readonly wished = computed(() => {
    const read = this.engine.rules.value();
    const none = { version: 0, wishes: NO_WISHES };
    return { client: read?.client ?? none, practice: read?.practice ?? none };
  });
  private readonly here = computed<RuleWishes>(() => this.wished()[this.of()].wishes);
  /** What holds here where nothing is wanted. */
  private readonly above = computed<RuleWishes>(() =>
    this.of() === 'client' ? this.wished().practice.wishes : NO_WISHES,
  );
  readonly words = computed(() => [...this.here().words].sort());
  /** How many things are wanted otherwise, by whom. */
  readonly counts = computed(() => ({
    client: this.countOf('client'),
    practice: this.countOf('practice'),
  }));

  readonly rows = computed<readonly RuleRow[]>(() => {
    const open = this.engine.sorted().open;
    const [here, above] = [this.here(), this.above()];
    return FINDING_CODES.map((code) => ({
      code,
      name: RULE_NAMES[code],
      matters: here.severities[code] ?? 'usual',
      otherwise: above.severities[code] ?? 'usual',
      limits: this.limitsOf(code),
      count: open.filter((finding) => finding.code === code).length,
    }));
  });

  /** The rules by what they are about. */
  readonly groups = computed(() =>
    RULE_SORTS.map((sort) => ({
      sort,
      words: SORT_WORDS[sort],
      rows: this.rows().filter(({ code }) => SORT_OF[code] === sort),
    })),
  );

  private countOf(of: WishedFor): number {
    const { severities, limits, words } = this.wished()[of].wishes;
    return Object.keys(severities).length + Object.keys(limits).length + words.length;
  }

  private limitsOf(code: FindingCode): readonly LimitRow[] {
    const [here, above] = [this.here().limits, this.above().limits];
    return LIMIT_NAMES.filter((name) => LIMIT_RANGES[name].rule === code).map((name) => ({
      name,
      value: here[name] ?? above[name] ?? USUAL_LIMITS[name],
      isOwn: here[name] !== undefined,
    }));
  }

  /** Says how much a rule matters; “usual” lets what holds otherwise hold again. */
  matter(code: FindingCode, matters: Mattering): Promise<boolean> {
    const severities = without(this.here().severities, code);
    return this.keep({
      ...this.here(),
      severities: matters === 'usual' ? severities : { ...severities, [code]: matters },
    });
  }

  /** Sets a limit; `null` lets what holds otherwise hold again. */
  limit(name: LimitName, value: number | null): Promise<boolean> {
    const limits = without(this.here().limits, name);
    return this.keep({
      ...this.here(),
      limits: value === null ? limits : { ...limits, [name]: value },
    });
  }

  /** Says that a word is right. */
  addWord(word: string): Promise<boolean> {
    const lower = word.trim().toLowerCase();
    if (this.here().words.includes(lower)) return Promise.resolve(true);
    return this.keep({ ...this.here(), words: [...this.here().words, lower] });
  }

  removeWord(word: string): Promise<boolean> {
    const words = this.here().words.filter((one) => one !== word);
    return this.keep({ ...this.here(), words });
  }

  /** Whether something typed is a word that can be kept. */
  isWord(typed: string): boolean {
    return /^[\p{L}\p{M}]+$/u.test(typed.trim()) && typed.trim().length <= WISHED_WORDS.length;
  }

  private async keep(wishes: RuleWishes): Promise<boolean> {
    const [of, client] = [this.of(), this.proposed.client()];
    if (client === null || this.doing.busy()) return false;
    const body = { version: this.wished()[of].version, wishes };
    const done = await this.doing.run(() =>
      firstValueFrom(
        of === 'client'
          ? this.api.ask('keepFindingRules', { clientId: client.id, body })
          : this.api.ask('keepPracticeRules', { body }),
      ),
    );
    this.engine.rules.again();
    return done;
  }
}
