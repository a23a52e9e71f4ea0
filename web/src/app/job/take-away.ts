import { Clipboard } from '@angular/cdk/clipboard';
import { CdkMenu, CdkMenuItem, CdkMenuTrigger } from '@angular/cdk/menu';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Dialogs } from '../shared/dialogs';
import { Icon } from '../shared/icon';
import { Messages } from '../shared/messages';
import { Tool } from '../shared/ui/ui';
import { JobStore } from './job-store';

/** What else of a job can be taken away besides the printed ticket: what to buy as text, the job's cutting list and the template full size on paper, the job as a file. */
@Component({
  selector: 'yl-take-away',
  imports: [CdkMenu, CdkMenuItem, CdkMenuTrigger, Tool, Icon],
  template: `
    <button type="button" ylTool aria-label="More to take away" title="More to take away" [cdkMenuTriggerFor]="menu">
      <svg ylIcon="ellipsis" size="20"></svg>
    </button>
    <ng-template #menu>
      <div
        class="grid min-w-64 rounded-xl border border-line-strong bg-linen p-1.5 text-ink shadow-card [&>*]:flex [&>*]:min-h-11 [&>*]:cursor-pointer [&>*]:items-center [&>*]:gap-2.5 [&>*]:rounded-lg [&>*]:bg-transparent [&>*]:px-3 [&>*]:text-left [&>*]:font-semibold [&>*]:text-ink [&>*]:no-underline [&>*:focus]:bg-calico-deep [&>*:hover]:bg-calico-deep"
        cdkMenu
      >
        <button type="button" cdkMenuItem (cdkMenuItemTriggered)="copy()"><svg ylIcon="clipboard-list" size="20"></svg> Copy what to buy</button>
        <a cdkMenuItem [href]="cuttingLink()" target="_blank" rel="noopener"><svg ylIcon="scissors" size="20"></svg> Print the job’s cutting list</a>
        <a cdkMenuItem [href]="store.wallLink()" target="_blank" rel="noopener"><svg ylIcon="printer" size="20"></svg> Print the order of work, for the wall</a>
        <a cdkMenuItem [href]="orderLink('pdf')" target="_blank" rel="noopener"
          ><svg ylIcon="clipboard-list" size="20"></svg> Print the order sheet, foam and wadding</a
        >
        <a cdkMenuItem [href]="orderLink('csv')" download><svg ylIcon="download" size="20"></svg> Save the order as a table, CSV</a>
        <a cdkMenuItem [href]="labelsLink('')" target="_blank" rel="noopener"><svg ylIcon="tags" size="20"></svg> Print piece labels, on sheets</a>
        <a cdkMenuItem [href]="labelsLink('&stock=roll')" target="_blank" rel="noopener"><svg ylIcon="tags" size="20"></svg> Print piece labels, off a roll</a>
        <button type="button" cdkMenuItem (cdkMenuItemTriggered)="toPrinter()"><svg ylIcon="tags" size="20"></svg> Send the labels to the label printer</button>
        <a cdkMenuItem [href]="templateLink()" target="_blank" rel="noopener"><svg ylIcon="shapes" size="20"></svg> Print the template, full size</a>
        <a cdkMenuItem [href]="exportLink()" download><svg ylIcon="download" size="20"></svg> Save the job as a file</a>
      </div>
    </ng-template>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TakeAway {
  /** What to buy, a line each. */
  readonly lines = input.required<readonly string[]>();
  protected readonly store = inject(JobStore);
  readonly #clipboard = inject(Clipboard);
  readonly #messages = inject(Messages);
  readonly #dialogs = inject(Dialogs);
  readonly #job = computed(() => `/api/jobs/${this.store.head()?.id ?? ''}`);
  protected readonly exportLink = computed(() => `${this.#job()}/export`);
  protected readonly cuttingLink = computed(() => `${this.#job()}/cutting-list.pdf`);
  protected readonly orderLink = (ending: 'pdf' | 'csv'): string => `${this.#job()}/order-sheet.${ending}`;
  protected readonly templateLink = computed(() => `${this.#job()}/templates/${this.store.cushionIndex() + 1}.pdf`);

  protected readonly labelsLink = (stock: string): string => `${this.#job()}/labels.pdf?cushion=${this.store.cushionIndex() + 1}${stock}`;

  protected async toPrinter(): Promise<void> {
    await this.#dialogs.open(async () => (await import('./label-printer-dialog')).LabelPrinterDialog, {
      data: { job: this.store.head()?.id ?? '', cushion: this.store.cushionIndex() + 1, name: this.store.cushion()?.name ?? '' },
      labelledBy: 'label-printer-title',
    });
  }

  protected copy(): void {
    const text = [this.store.job()?.name ?? '', ...this.lines()].join('\n');
    if (this.#clipboard.copy(text)) this.#messages.tell('clipboard', 'What to buy is on the clipboard, ready to be pasted into an order.');
    else this.#messages.warn('clipboard', 'The browser did not let the list onto the clipboard. Print the ticket instead: it has the same list.');
  }
}
