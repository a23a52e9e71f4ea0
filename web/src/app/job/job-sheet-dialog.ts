import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { inState, JOB_STATES, type Job } from '@yardland/core';
import { jobStateWords } from './state-words';
import { Choice, Switch } from '../shared/controls/choice';
import { NoteField } from '../shared/controls/note-field';
import { TextField } from '../shared/controls/text-field';
import { Button, DialogFields, DialogFoot, DialogFrame } from '../shared/ui/ui';
import { today } from '../shared/words/days';
import type { JobStore } from './job-store';

const UNITS = [
  { value: 'metric', name: 'millimetres' },
  { value: 'inch', name: 'inches' },
];

/** What is written on the job's own sheet: name, customer, promise, state, units, remarks. */
@Component({
  selector: 'yl-job-sheet-dialog',
  imports: [RouterLink, DialogFrame, DialogFields, DialogFoot, Button, Choice, Switch, NoteField, TextField],
  template: `
    <div ylDialog>
      <h2 id="sheet-title">The job</h2>
      @if (store.job(); as job) {
        <div ylDialogFields>
          <yl-text label="Name" [value]="job.name" (valueChange)="setName($event)" />
          <yl-text label="For" [value]="job.customer ?? ''" (valueChange)="set('Customer', 'customer', $event)" />
          <yl-text label="Promised for" type="date" [value]="job.dueDate ?? ''" (valueChange)="set('Due date', 'dueDate', $event)" />
          <yl-choice label="State" [options]="states" [value]="job.state ?? 'new'" (picked)="setState($event)" />
          <yl-switch label="Measured in" [options]="units" [value]="job.units" (picked)="setUnits($event)" />
          <yl-text label="Foam comes on" type="date" [value]="job.awaits?.foam ?? ''" (valueChange)="setAwaited('foam', $event)" />
          <yl-text label="Cloth comes on" type="date" [value]="job.awaits?.cloth ?? ''" (valueChange)="setAwaited('cloth', $event)" />
          <yl-note class="col-span-full" label="Remarks" [value]="job.note ?? ''" (valueChange)="set('Remarks', 'note', $event)" />
        </div>
      }
      <div ylDialogFoot>
        @if (store.head(); as head) {
          <a ylButton routerLink="/book" [queryParams]="{ job: head.id }" (click)="close()">Its page in the book</a>
        }
        <button type="button" ylButton="strong" (click)="close()">Done</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JobSheetDialog {
  protected readonly store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject(DialogRef);
  protected readonly states = JOB_STATES.map((value) => ({ value, name: jobStateWords[value] }));
  protected readonly units = UNITS;

  protected setName(name: string): void {
    if (name.trim()) this.store.edit('Job name', (job) => ({ ...job, name: name.trim() }));
  }

  /** Sets a field; empty leaves it out of the document. */
  protected set(label: string, key: 'customer' | 'dueDate' | 'note', value: string): void {
    this.store.edit(label, ({ [key]: _before, ...job }) => (value.trim() ? ({ ...job, [key]: value.trim() } as Job) : job));
  }

  /** The day on which what was ordered is expected; empty where nobody has said. */
  protected setAwaited(what: 'foam' | 'cloth', on: string): void {
    this.store.edit(what === 'foam' ? 'Foam comes on' : 'Cloth comes on', ({ awaits, ...job }) => {
      const { [what]: _before, ...others } = awaits ?? {};
      const next = on ? { ...others, [what]: on } : others;
      return Object.keys(next).length ? { ...job, awaits: next } : job;
    });
  }

  /** Delivered, it keeps what holds in the shop on that day: for the day on which one more is wanted. */
  protected setState(state: NonNullable<Job['state']>): void {
    const shop = this.store.shop();
    if (shop) this.store.edit('State', (job) => inState(job, state, shop, today()));
  }

  protected setUnits(value: string): void {
    this.store.edit('Units', (job) => ({ ...job, units: value === 'inch' ? 'inch' : 'metric' }));
  }

  protected close(): void {
    this.#dialog.close();
  }
}
