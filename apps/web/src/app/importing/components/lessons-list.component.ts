import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { KINDS } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { KindLessons } from '../model/kind-lessons';

/** What the practice was taught of kinds by what its people chose for lines of lists; each can be taken back. */
@Component({
  selector: 'iu-lessons-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent, ProblemNoteComponent],
  template: `
    <p i18n class="muted">
      What your practice chose for accounts of these names. Lines so called get that kind at once,
      in the lists of all clients, where they can be it.
    </p>
    @if (lessons.problem(); as found) {
      <iu-problem-note [problem]="found" />
    }
    <ul>
      @for (lesson of lessons.all(); track lesson.id) {
        <li>
          <strong>{{ lesson.name }}</strong>
          <span>
            <iu-element-mark [element]="kinds[lesson.kind].element" />
            {{ kinds[lesson.kind].name }}
          </span>
          <button
            class="button small"
            type="button"
            i18n-ariaLabel
            ariaLabel="Take back what {{ lesson.name }} is"
            (click)="lessons.forget(lesson.id)"
          >
            <ng-container i18n>Take back</ng-container>
          </button>
        </li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      padding: 14px 18px;
      overflow: auto;
    }
    ul {
      margin: 14px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 320px 320px max-content;
      align-items: center;
      gap: 18px;
      padding: 6px 0;
      border-bottom: 1px solid var(--rule-soft);
    }
  `,
})
export class LessonsListComponent {
  protected readonly lessons = inject(KindLessons);
  protected readonly kinds = KINDS;
}
