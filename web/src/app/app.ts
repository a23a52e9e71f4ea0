import { ChangeDetectionStrategy, Component, EnvironmentInjector, inject, Injector } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { WaitingEdits } from './job/saving/waiting-edits';
import { UNSENT_SAMPLES, WindowShelves } from './shared/saving/window-shelves';
import { MessagesList } from './shell/messages-list';
import { Settings } from './shell/settings';

/** Where the guide keeps how far somebody is. */
const GUIDE_KEY = 'yardland.guide';

@Component({
  selector: 'yl-app',
  imports: [RouterOutlet, MessagesList],
  template: `<router-outlet /><yl-messages />`,
  host: { '(document:keydown.f1)': 'explain($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class App {
  readonly #injector = inject(Injector);

  constructor() {
    inject(Settings).apply();
    inject(WaitingEdits).start();
    if (localStorage.getItem(GUIDE_KEY) !== null) void this.#guide(inject(EnvironmentInjector));
    if (inject(WindowShelves).ids(UNSENT_SAMPLES).length) void this.#sendSamples();
  }

  /** Explains the word over the field in hand, where it is one of the trade. */
  protected explain(event: Event): void {
    const field = document.activeElement;
    const label = field instanceof HTMLInputElement || field instanceof HTMLSelectElement ? field.labels?.[0] : undefined;
    const term = (label?.querySelector('yl-term button') ?? field?.closest('fieldset')?.querySelector('legend yl-term button')) as
      HTMLElement | null | undefined;
    if (!term) return;
    event.preventDefault();
    term.click();
  }

  /** Whoever is being shown the way in, or practises, goes on with it. */
  async #guide(injector: EnvironmentInjector): Promise<void> {
    const { showGuide } = await import('./guide/show-guide');
    showGuide(injector);
  }

  /** Samples that an earlier page could not send go out from whatever page is opened next. */
  async #sendSamples(): Promise<void> {
    try {
      const { SamplesStore } = await import('./gauges/samples-store');
      this.#injector.get(SamplesStore).resume();
    } catch {
      // The server is away, and with it the part that sends them: they stay on their shelf for the next page.
    }
  }
}
