import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { KINDS } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { KindLessons } from '../model/kind-lessons';

/** What the practice was taught of kinds by what its people chose for lines of lists; each can be taken back. */
@Component({
  selector: 'iu-lessons-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent],
  template: `
    <p i18n class="muted">
      What your practice chose for accounts of these names. Lines so called get that kind at once,
      in the lists of all clients, where they can be it.
    </p>
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
    .button {
      justify-self: start;
    }
  `,
  styleUrl: './part-list.css',
})
export class LessonsListComponent {
  protected readonly lessons = inject(KindLessons);
  protected readonly kinds = KINDS;
}
