import { inject, Injectable } from '@angular/core';
import { Messages } from './messages';

const ABOUT = 'new version';
/** A field that is left takes what was typed; so long for that to be kept. */
const KEEPS_MS = 400;

/** The script that a page of the application begins with; its name is another one in every build. */
const mainIn = (html: string): string | null => /src="[./]*(main-[^"]+\.js)"/.exec(html)?.[1] ?? null;

/** Parts of the application that are fetched when they are needed may be gone: the server has been renewed since this page was opened. Then the new version is said and loaded. */
@Injectable({ providedIn: 'root' })
export class NewVersion {
  readonly #messages = inject(Messages);

  /** A page could not be fetched: where a new version is there, the page is loaded with it; otherwise it is said that the server does not answer. */
  async pageMissed(url: string): Promise<void> {
    // Once loaded it is the version that is there: a part that is missing then is not loaded for again.
    if (!(await this.#isThere())) {
      this.#messages.warn(ABOUT, 'This page could not be fetched: the server does not answer. Try again when it is back.');
      return;
    }
    this.#messages.tell(ABOUT, 'A new version is being loaded. What you have typed is kept.');
    this.load(url);
  }

  /** A part could not be fetched; whether that was because a new version is there, which is then said. */
  async partMissed(): Promise<boolean> {
    const there = await this.#isThere();
    if (there) this.say();
    return there;
  }

  /** Says that a new version is there, with a way to load it. */
  say(load = (): void => this.load(location.pathname + location.search)): void {
    this.#messages.ask(ABOUT, 'A new version is here. What you have typed is kept when it is loaded.', 'Load it', load);
  }

  /** Leaves the field in hand, so that what was typed is taken and kept, and loads an address anew. */
  load(url: string): void {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    setTimeout(() => location.assign(url), KEEPS_MS);
  }

  async #isThere(): Promise<boolean> {
    try {
      const response = await fetch('/', { cache: 'no-store', headers: { accept: 'text/html' } });
      const [now, here] = [mainIn(await response.text()), mainIn(document.documentElement.outerHTML)];
      return response.ok && now !== null && here !== null && now !== here;
    } catch {
      return false;
    }
  }
}
