import { Injectable, signal } from '@angular/core';

const KEY = 'iunctus.theme';

/** Light or dark, kept in the browser. */
@Injectable({ providedIn: 'root' })
export class ThemeService {
  readonly dark = signal(localStorage.getItem(KEY) === 'dark');

  constructor() {
    this.show();
  }

  /** Goes over to the other theme. */
  toggle(): void {
    this.dark.update((dark) => !dark);
    localStorage.setItem(KEY, this.dark() ? 'dark' : 'light');
    this.show();
  }

  private show(): void {
    document.documentElement.classList.toggle('dark', this.dark());
  }
}
