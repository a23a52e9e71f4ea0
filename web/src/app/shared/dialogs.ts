import { inject, Injectable, Injector, signal, type Type } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { NewVersion } from './new-version';
import { Messages } from './messages';

/** How a dialog is opened. */
export interface DialogAsk<D> {
  readonly data: D;
  /** Id of its title, which names it. */
  readonly labelledBy: string;
  /** It has to be answered: Escape and a press beside it do not close it. */
  readonly mustAnswer?: boolean;
}

/** Opens dialogs. They and the CDK's dialog itself are fetched when the first one is opened: no page has to load them before it shows. */
@Injectable({ providedIn: 'root' })
export class Dialogs {
  readonly #injector = inject(Injector);
  readonly #messages = inject(Messages);
  readonly #version = inject(NewVersion);
  readonly #open = signal(0);

  /** Whether a dialog is open or on its way: keys of the page are then not for the page. */
  anyOpen(): boolean {
    return this.#open() > 0;
  }

  /** Opens the dialog that `load` fetches; what it was closed with, undefined where it was left without an answer. */
  async open<R, D = null>(load: () => Promise<Type<unknown>>, { data, labelledBy, mustAnswer = false }: DialogAsk<D>): Promise<R | undefined> {
    this.#open.update((count) => count + 1);
    try {
      const [{ Dialog }, component] = await Promise.all([import('@angular/cdk/dialog'), load()]);
      const ref = this.#injector.get(Dialog).open<R, D>(component, { data, ariaLabelledBy: labelledBy, disableClose: mustAnswer });
      return await firstValueFrom(ref.closed);
    } catch {
      // A part of the application that cannot be fetched: the server is away, or has been renewed since this page was opened.
      if (await this.#version.partMissed()) return undefined;
      this.#messages.warn('dialog', 'This could not be opened: the server does not answer, or is another one now. Load the page again when it is back.');
      return undefined;
    } finally {
      this.#open.update((count) => count - 1);
    }
  }
}
