import { computed, inject, Injectable, signal } from '@angular/core';
import type { KindLesson, KindLessonsAnswer } from '@iunctus/contract';
import { nameKey, type KindCode } from '@iunctus/core';
import type { Observable } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { readingOnce } from '../../shared/api/reading';

/** What the practice was taught of kinds: kept as soon as somebody corrects one, and taken back as easily. */
@Injectable()
export class KindLessons {
  private readonly api = inject(ApiService);
  readonly read = readingOnce(() => this.api.ask('kindLessons', {}));
  readonly all = computed<KindLessonsAnswer>(() => this.read.value() ?? []);
  readonly taught = computed<ReadonlyMap<string, KindCode>>(
    () => new Map(this.all().map(({ name, kind }) => [nameKey(name), kind])),
  );
  /** Why a lesson could not be kept or taken back. */
  readonly problem = signal<ApiProblem | null>(null);

  learn(lesson: KindLesson): void {
    this.done(this.api.ask('learnKind', { body: lesson }));
  }

  forget(lessonId: string): void {
    this.done(this.api.ask('forgetKind', { lessonId }));
  }

  private done(asked: Observable<object>): void {
    asked.subscribe({
      next: () => {
        this.problem.set(null);
        this.read.again();
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
