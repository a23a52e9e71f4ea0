import type { PositionStrategy } from '@angular/cdk/overlay';
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
  /** It stands beside this; in the middle of the page where it is left out. */
  readonly near?: HTMLElement;
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
  async open<R, D = null>(load: () => Promise<Type<unknown>>, { data, labelledBy, mustAnswer = false, near }: DialogAsk<D>): Promise<R | undefined> {
    this.#open.update((count) => count + 1);
    try {
      const [{ Dialog }, component] = await Promise.all([import('@angular/cdk/dialog'), load()]);
      const ref = this.#injector.get(Dialog).open<R, D>(component, {
        data,
        ariaLabelledBy: labelledBy,
        disableClose: mustAnswer,
        ...(near ? await this.#beside(near) : {}),
      });
      return await firstValueFrom(ref.closed);
    } catch {
      // A part of the application that cannot be fetched: the server is away, or has been renewed since this page was opened.
      if (await this.#version.partMissed()) return undefined;
      this.#messages.warn('dialog', 'This could not be opened: the server does not answer, or has been updated. Load the page again when it is back.');
      return undefined;
    } finally {
      this.#open.update((count) => count - 1);
    }
  }

  /** Under something, or over it, wherever there is room; the page behind it stays as light as it is. */
  async #beside(origin: HTMLElement): Promise<{ positionStrategy: PositionStrategy; backdropClass: string }> {
    const { createFlexibleConnectedPositionStrategy } = await import('@angular/cdk/overlay');
    const positionStrategy = createFlexibleConnectedPositionStrategy(this.#injector, origin)
      .withPositions([
        { originX: 'start', originY: 'bottom', overlayX: 'start', overlayY: 'top', offsetY: 6 },
        { originX: 'start', originY: 'top', overlayX: 'start', overlayY: 'bottom', offsetY: -6 },
        { originX: 'end', originY: 'bottom', overlayX: 'end', overlayY: 'top', offsetY: 6 },
        { originX: 'end', originY: 'top', overlayX: 'end', overlayY: 'bottom', offsetY: -6 },
      ])
      .withViewportMargin(8)
      .withPush(true);
    return { positionStrategy, backdropClass: 'cdk-overlay-transparent-backdrop' };
  }
}
