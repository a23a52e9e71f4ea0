import type { Hand } from '@yardland/core';
import { DOCUMENT, effect, inject, Injectable, signal } from '@angular/core';

export type Theme = 'auto' | 'light' | 'dark';

const KEY = 'yardland.settings';

/** What belongs to this screen rather than to the shop: theme, whether single keys act, who is at it and with which hand each sews. Kept in the browser. */
@Injectable({ providedIn: 'root' })
export class Settings {
  readonly theme = signal<Theme>('auto');
  /** Single-letter keys can be switched off for those who dictate or type by other means. */
  readonly keys = signal(true);
  /** Which of the people of the shop is at this screen; empty: nobody has said. */
  readonly person = signal('');
  /** The hand that each of them sews with, by name; that of whoever has said none under the empty name. */
  readonly hands = signal<Readonly<Record<string, Hand>>>({});
  readonly #root = inject(DOCUMENT).documentElement;

  constructor() {
    const kept = read();
    if (kept.theme) this.theme.set(kept.theme);
    if (kept.keys !== undefined) this.keys.set(kept.keys);
    if (kept.person !== undefined) this.person.set(kept.person);
    if (kept.hands) this.hands.set(kept.hands);
    effect(() => {
      const [theme, keys, person, hands] = [this.theme(), this.keys(), this.person(), this.hands()];
      try {
        localStorage.setItem(KEY, JSON.stringify({ theme, keys, person, hands }));
      } catch {
        // A browser that keeps nothing still works; it just forgets.
      }
      this.apply();
    });
  }

  /** Puts the theme on the page. */
  apply(): void {
    const theme = this.theme();
    if (theme === 'auto') this.#root.removeAttribute('data-theme');
    else this.#root.setAttribute('data-theme', theme);
  }

  nextTheme(): void {
    const order: Theme[] = ['auto', 'light', 'dark'];
    this.theme.update((theme) => order[(order.indexOf(theme) + 1) % order.length] ?? 'auto');
  }
}

interface Kept {
  theme?: Theme;
  keys?: boolean;
  person?: string;
  hands?: Readonly<Record<string, Hand>>;
}

function read(): Kept {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Kept;
  } catch {
    return {};
  }
}
