import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { materialOf, natureOf, openedAgain, redoing, showsHoles, minutesInWords } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/controls/choice';
import { today } from '../shared/words/days';
import { NumberField } from '../shared/controls/number-field';
import { TextField } from '../shared/controls/text-field';
import { Button, DialogFields, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { BatchChips } from './batch-chips';
import type { BenchWork } from './bench-work';

/** What the dialog is opened with. */
export interface RecutData {
  readonly store: JobStore;
  readonly work: BenchWork;
  /** The piece that is wrong, where it is known. */
  readonly piece: string | null;
}

const WAYS = [
  { value: 'drawn', name: 'as drawn' },
  { value: 'turned', name: 'turned over' },
];

/** A piece found to be wrong: which, on which cushions, and what has to be opened and done again for it. */
@Component({
  selector: 'yl-recut-dialog',
  imports: [BatchChips, Button, Choice, Switch, DialogFields, DialogFoot, DialogFrame, NumberField, TextField, Words],
  template: `
    <div ylDialog="wide">
      <h2 id="recut-title">A piece is wrong</h2>
      <div ylDialogFields>
        <yl-choice label="Which piece" [options]="pieces()" [value]="piece()" (picked)="choose($event)" />
        @if (most() > 1) {
          <yl-number label="How many in each" [min]="1" [max]="most()" [value]="each()" (entered)="each.set($event)" />
        }
        @if (handed()) {
          <yl-switch label="It was cut" [options]="ways" [value]="turned() ? 'turned' : 'drawn'" (picked)="turned.set($event === 'turned')" />
        }
        <yl-text label="What was wrong with it" [maxLength]="200" [value]="why()" (valueChange)="why.set($event)" />
      </div>
      @if (work.quantity() > 1) {
        <div class="grid gap-1.5">
          <p class="text-label text-ink-soft">On which of the {{ work.quantity() }}</p>
          <yl-batch-chips [numbers]="work.numbers()" [done]="cushions()" words="cut anew" (toggled)="toggle($event)" />
        </div>
      }
      @if (made().redo.length) {
        <div class="grid grid-cols-2 gap-6 max-tablet:grid-cols-1 [&_h3]:text-lead [&_li]:mt-1.5 [&_ol]:list-decimal [&_ol]:pl-5 [&_small]:text-ink-soft">
          <section aria-labelledby="unpick-title">
            <h3 id="unpick-title">Open, the last first</h3>
            <ol>
              @for (one of made().unpick; track one.operation.id) {
                <li>
                  {{ work.words(one.operation) }} <small>{{ on(one.cushions) }}</small>
                </li>
              }
            </ol>
          </section>
          <section aria-labelledby="redo-title">
            <h3 id="redo-title">Then do again</h3>
            <ol>
              @for (one of made().redo; track one.operation.id) {
                <li>
                  {{ work.words(one.operation) }} <small>{{ on(one.cushions) }}</small>
                </li>
              }
            </ol>
          </section>
        </div>
        <p ylWords>Opening and doing it again takes about {{ minutes() }}. These steps are then to do again; undo brings their ticks back.</p>
      } @else {
        <p ylWords>Nothing is sewn with it yet: it only has to be cut anew.</p>
      }
      @if (holes()) {
        <p ylWords>Every hole stays: what is opened is sewn again in its own holes, or its neighbours are cut anew too.</p>
      }
      <p ylWords>
        It is laid on what is left of its material, also between the pieces that are cut from it, or bought where it finds no room there: the Lay shows it.
      </p>
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close()">Nothing is wrong</button>
        <button type="button" ylButton="strong" [disabled]="cushions().length === 0 || !piece()" (click)="confirm()">Cut it anew</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RecutDialog {
  readonly #data = inject<RecutData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<null>>(DialogRef);
  protected readonly work = this.#data.work;
  readonly #all = computed(() => this.#data.store.cushionPlan()?.pieces ?? []);
  protected readonly pieces = computed(() => this.#all().map(({ id, label, remark }) => ({ value: id, name: remark ? `${label}, ${remark}` : label })));
  protected readonly piece = signal(
    this.#data.piece ?? this.#all().find(({ id }) => this.#data.work.step()?.pieces.includes(id))?.id ?? this.#all()[0]?.id ?? '',
  );
  protected readonly most = computed(() => this.#piece()?.countPerCushion ?? 1);
  protected readonly each = signal(1);
  protected readonly ways = WAYS;
  /** The one wrong of a pair was cut turned over. */
  protected readonly turned = signal(false);
  readonly #piece = computed(() => this.#all().find(({ id }) => id === this.piece()) ?? null);
  /** Some of its copies are cut turned over, and not all of them are wrong: it has to be said which. */
  protected readonly handed = computed(() => {
    const piece = this.#piece();
    return piece !== null && piece.turned > 0 && piece.turned < piece.countPerCushion && this.each() < piece.countPerCushion;
  });
  /** It is of leather or vinyl. */
  protected readonly holes = computed(() => {
    const [material, { store }] = [this.#piece()?.material, this.#data];
    const [job, shop, cushion] = [store.job(), store.shop(), store.cushion()];
    if (material?.kind !== 'cloth' || !job || !shop || !cushion) return false;
    return showsHoles(natureOf(materialOf(material.slot, job, cushion, shop)));
  });
  protected readonly why = signal('');
  protected readonly cushions = signal<readonly number[]>([1]);
  protected readonly made = computed(() => {
    const { store, work } = this.#data;
    const share = store.shop()?.assume('unpickShare', store.units()) ?? 1;
    const wrong = { piece: this.piece(), cushions: this.cushions() };
    return redoing(work.steps(), store.cushion()?.bench?.done ?? {}, work.quantity(), wrong, share);
  });
  protected readonly minutes = computed(() => minutesInWords(this.made().minutes));

  protected choose(piece: string): void {
    this.piece.set(piece);
    this.each.set(1);
    this.turned.set(false);
  }

  protected toggle(cushion: number): void {
    this.cushions.update((before) => (before.includes(cushion) ? before.filter((one) => one !== cushion) : [...before, cushion].sort((a, b) => a - b)));
  }

  protected on(cushions: readonly number[]): string {
    return this.work.quantity() === 1 ? '' : `on ${cushions.join(', ')}`;
  }

  protected confirm(): void {
    const [made, quantity] = [this.made(), this.work.quantity()];
    const recut = {
      piece: this.piece(),
      cushions: [...this.cushions()],
      each: this.each(),
      date: today(),
      ...(this.handed() && this.turned() ? { turned: true } : {}),
      ...(this.why() ? { why: this.why() } : {}),
    };
    this.work.change('A piece cut anew', (bench) => ({ ...bench, done: openedAgain(bench.done, made, quantity), recuts: [...(bench.recuts ?? []), recut] }));
    this.close();
  }

  protected close(): void {
    this.#dialog.close(null);
  }
}
