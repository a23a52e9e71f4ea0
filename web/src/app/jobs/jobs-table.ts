import { BreakpointObserver } from '@angular/cdk/layout';
import { ScrollingModule } from '@angular/cdk/scrolling';
import { CdkTableModule } from '@angular/cdk/table';
import { ChangeDetectionStrategy, ChangeDetectorRef, Component, computed, inject, input, output, type AfterViewChecked, type DoCheck } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { Icon } from '../shared/icon';
import { PHONE } from '../shared/screens';
import type { Pages, Place } from '../shared/saving/pages';
import { Chip, Tool } from '../shared/ui/ui';
import type { JobRow } from './job-row';
import { WaitingEdits } from '../job/saving/waiting-edits';

/** Heights of a row with the gap under it, pixels: in columns, and on a phone one cell under the other. Set in the template's classes too. */
const ROW_PX = 76;
const PHONE_ROW_PX = 160;

/** The jobs found, however many: only the rows on the screen are in the page. */
@Component({
  selector: 'yl-jobs-table',
  imports: [CdkTableModule, ScrollingModule, RouterLink, Chip, Tool, Icon],
  templateUrl: './jobs-table.html',
  host: { class: 'flex min-h-0 flex-1' },
  styleUrl: './jobs-table.css',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JobsTable implements DoCheck, AfterViewChecked {
  readonly pages = input.required<Pages<JobRow>>();
  readonly duplicate = output<JobRow>();
  readonly putAway = output<JobRow>();
  readonly bringBack = output<JobRow>();

  protected readonly waiting = inject(WaitingEdits).jobs;
  readonly #changes = inject(ChangeDetectorRef);
  #checking = false;
  readonly #screen = toSignal(inject(BreakpointObserver).observe(PHONE));
  protected readonly rowPx = computed(() => (this.#screen()?.matches ? PHONE_ROW_PX : ROW_PX));
  protected readonly columns = ['job', 'cushions', 'state', 'due', 'actions'];
  protected readonly same = (_: number, { at, row }: Place<JobRow>): string | number => row?.id ?? at;

  ngDoCheck(): void {
    this.#checking = true;
  }

  ngAfterViewChecked(): void {
    this.#checking = false;
  }

  /**
   * The virtual scroller reuses rows for other jobs in its own animation frame without updating their text. Until they are updated, a press would go to another job
   * than the one that is read.
   */
  protected redraw(): void {
    if (!this.#checking) this.#changes.detectChanges();
  }
}
