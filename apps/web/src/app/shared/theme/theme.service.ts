import { computed, Injectable, signal } from '@angular/core';

const KEY = 'iunctus.theme';

type Theme = 'dark' | 'light';

const chosenBefore = (): Theme | null => {
  const stored = localStorage.getItem(KEY);
  return stored === 'dark' || stored === 'light' ? stored : null;
};

/** Light or dark: as the system has it until one is chosen, which the browser keeps. */
@Injectable({ providedIn: 'root' })
export class ThemeService {
  private readonly system = matchMedia('(prefers-color-scheme: dark)');
  private readonly systemDark = signal(this.system.matches);
  private readonly chosen = signal(chosenBefore());
  readonly dark = computed(
    () => (this.chosen() ?? (this.systemDark() ? 'dark' : 'light')) === 'dark',
  );

  constructor() {
    this.system.addEventListener('change', ({ matches }) => {
      this.systemDark.set(matches);
      this.show();
    });
    this.show();
  }

  /** Goes over to the other theme. */
  toggle(): void {
    const theme: Theme = this.dark() ? 'light' : 'dark';
    this.chosen.set(theme);
    localStorage.setItem(KEY, theme);
    this.show();
  }

  private show(): void {
    document.documentElement.classList.toggle('dark', this.dark());
  }
}
