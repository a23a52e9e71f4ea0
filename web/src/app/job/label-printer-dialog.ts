import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { HttpClient } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { labelPrinterSchema, labelPrintSchema, labelPrintTakenSchema, type LabelPrint } from '@yardland/core';
import { catchError, map, of } from 'rxjs';
import { problemOf } from '../shared/saving/problem';
import { Button, Chip, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { ProgressTape } from '../shared/ui/progress-tape';

/** What the dialog is opened with: a job, and which of its cushions, counted from 1. */
export interface LabelPrinterData {
  readonly job: string;
  readonly cushion: number;
  readonly name: string;
}

type State = 'ready' | 'waiting' | 'printing' | 'stopped' | 'out-of-labels' | 'gone' | 'done';

const SAYS: Record<State, string> = {
  ready: 'One label for every piece that is cut, in the order of the ticket.',
  waiting: 'Another print is out first; this one comes after it.',
  printing: 'Printing.',
  stopped: 'Stopped. The next label is the one after the last that is out.',
  'out-of-labels': 'The roll is at its end. Put a new one in, and go on from the next label.',
  gone: 'The printer does not answer. What is out is right; go on from the next label when it is back.',
  done: 'All are out.',
};

/** Sends the piece labels of a cushion to the shop's label printer: how far it is, stop, a new roll, and going on where it stopped. */
@Component({
  selector: 'yl-label-printer-dialog',
  imports: [ProgressTape, Button, Chip, DialogFoot, DialogFrame, Words],
  template: `
    <div ylDialog>
      <h2 id="label-printer-title">Labels of {{ data.name }}</h2>
      <p class="flex items-center gap-2.5">
        {{ printer()?.name ?? 'Label printer' }}
        @if (printer()?.simulated) {
          <span ylChip data-part="chip">simulated</span>
        }
      </p>
      @if (at(); as now) {
        <div class="grid gap-1.5">
          <yl-progress label="Labels printed" [done]="now.printed" [of]="now.of" />
          <p class="text-lead tabular-nums" role="status">{{ now.printed }} of {{ now.of }} printed</p>
        </div>
      }
      <p [ylWords]="state() === 'out-of-labels' || state() === 'gone' ? 'bad' : ''" [attr.role]="state() === 'ready' ? null : 'status'">{{ says() }}</p>
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close()">Close</button>
        @switch (state()) {
          @case ('waiting') {
            <button type="button" ylButton="strong" (click)="stop()">Stop</button>
          }
          @case ('printing') {
            <button type="button" ylButton="strong" (click)="stop()">Stop</button>
          }
          @case ('out-of-labels') {
            <button type="button" ylButton="strong" (click)="newRoll()">A new roll is in: go on</button>
          }
          @case ('done') {
            <button type="button" ylButton (click)="print(1)">Print them again</button>
          }
          @case ('ready') {
            <button type="button" ylButton="strong" (click)="print(1)">Print</button>
          }
          @default {
            <button type="button" ylButton="strong" (click)="goOn()">Go on</button>
          }
        }
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LabelPrinterDialog {
  protected readonly data = inject<LabelPrinterData>(DIALOG_DATA);
  readonly #ref = inject<DialogRef<void>>(DialogRef);
  readonly #http = inject(HttpClient);
  #source: EventSource | null = null;
  protected readonly printer = toSignal(
    this.#http.get('/api/devices/label-printer').pipe(
      map((value) => labelPrinterSchema.parse(value)),
      catchError(() => of(null)),
    ),
  );
  protected readonly state = signal<State>('ready');
  protected readonly at = signal<LabelPrint | null>(null);
  readonly #refusal = signal<string | null>(null);
  protected readonly says = computed(() => this.#refusal() ?? SAYS[this.state()]);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#source?.close());
  }

  protected print(from: number): void {
    this.#source?.close();
    this.#refusal.set(null);
    this.state.set('printing');
    const { job, cushion } = this.data;
    this.#http.post('/api/devices/label-printer/print', { job, cushion, from }).subscribe({
      next: (value) => this.#listen(labelPrintTakenSchema.parse(value).print),
      error: (error: unknown) => {
        this.#refusal.set(problemOf(error).message);
        this.state.set('gone');
      },
    });
  }

  /** Hears how far a print is; who stops listening stops it. */
  #listen(print: string): void {
    // Stopped while it was being taken on.
    if (this.state() === 'stopped') return;
    const source = new EventSource(`/api/devices/label-printer/print/${print}`);
    this.#source = source;
    const hear = (state: State) => (event: MessageEvent<string>) => {
      this.at.set(labelPrintSchema.parse(JSON.parse(event.data)));
      this.state.set(state);
      if (state !== 'printing' && state !== 'waiting') source.close();
    };
    source.addEventListener('waiting', hear('waiting'));
    source.addEventListener('printed', hear('printing'));
    source.addEventListener('done', hear('done'));
    source.addEventListener('failed', hear('gone'));
    source.addEventListener('out-of-labels', hear('out-of-labels'));
    source.addEventListener('error', () => {
      // It would begin again by itself, with labels that are out already.
      source.close();
      this.state.set('gone');
    });
  }

  protected stop(): void {
    this.#source?.close();
    this.state.set('stopped');
  }

  protected goOn(): void {
    this.print((this.at()?.printed ?? 0) + 1);
  }

  protected newRoll(): void {
    this.#http.post('/api/devices/label-printer/new-roll', {}).subscribe({
      next: () => this.goOn(),
      error: (error: unknown) => this.#refusal.set(problemOf(error).message),
    });
  }

  protected close(): void {
    this.#ref.close();
  }
}
