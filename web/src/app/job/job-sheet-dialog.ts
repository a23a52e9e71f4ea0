import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { JOB_STATES, type Job } from '@yardland/core';
import { jobStateWords } from '../jobs/state-words';
import { Choice, Switch } from '../shared/choice';
import { Button, DialogFields, DialogFoot, DialogFrame, InputBox, Label, TextArea } from '../shared/ui/ui';
import type { JobStore } from './job-store';

const UNITS = [
  { value: 'metric', name: 'millimetres' },
  { value: 'inch', name: 'inches' },
];

/** What is written on the job's own sheet: name, customer, promise, state, units, remarks. */
@Component({
  selector: 'yl-job-sheet-dialog',
  imports: [DialogFrame, DialogFields, Label, InputBox, TextArea, DialogFoot, Button, Choice, Switch],
  template: `
    <div ylDialog>
      <h2 id="sheet-title">The job</h2>
      @if (store.job(); as job) {
        <div ylDialogFields>
          <div class="field block min-w-0">
            <label ylLabel for="job-name">Name</label>
            <input id="job-name" #name ylInput maxlength="120" autocomplete="off" [value]="job.name" (change)="setName(name.value)" />
          </div>
          <div class="field block min-w-0">
            <label ylLabel for="job-customer">For</label>
            <input
              id="job-customer"
              #customer
              ylInput
              maxlength="120"
              autocomplete="off"
              [value]="job.customer ?? ''"
              (change)="set('Customer', 'customer', customer.value)"
            />
          </div>
          <div class="field block min-w-0">
            <label ylLabel for="job-due">Promised for</label>
            <input id="job-due" #due ylInput type="date" [value]="job.dueDate ?? ''" (change)="set('Due date', 'dueDate', due.value)" />
          </div>
          <yl-choice label="State" [options]="states" [value]="job.state ?? 'new'" (changed)="set('State', 'state', $event)" />
          <yl-switch label="Measured in" [options]="units" [value]="job.units" (changed)="setUnits($event)" />
          <div class="field block min-w-0 col-span-full">
            <label ylLabel for="job-note">Remarks</label>
            <textarea id="job-note" #note ylInput rows="3" maxlength="5000" [value]="job.note ?? ''" (change)="set('Remarks', 'note', note.value)"></textarea>
          </div>
        </div>
      }
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close()">Done</button></div>
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
  protected set(label: string, key: 'customer' | 'dueDate' | 'state' | 'note', value: string): void {
    this.store.edit(label, ({ [key]: _before, ...job }) => (value.trim() ? ({ ...job, [key]: value.trim() } as Job) : job));
  }

  protected setUnits(value: string): void {
    this.store.edit('Units', (job) => ({ ...job, units: value === 'inch' ? 'inch' : 'metric' }));
  }

  protected close(): void {
    this.#dialog.close();
  }
}
