import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { filled } from '@yardland/core';
import { JobStore } from '../job/job-store';
import type { Scene } from '../shared/table/scene';
import { RoundLook } from '../round/round-look';
import { Switch } from '../shared/controls/choice';
import { Table } from '../shared/table/table';
import { NotFetched, StationFrame, Tray, Words } from '../shared/ui/ui';
import { coverScene } from './cover-scene';
import { stapleScene } from './staple-scene';
import { FieldsTray } from './fields-tray';
import { FinishedFacts, FinishedView } from './finished-view';
import { OwnZipTray } from './own-zip-tray';
import { SlotsTray } from './slots-tray';
import { ZipsTray } from './zips-tray';

const PARTS = [
  { value: 'made', name: 'How it is made' },
  { value: 'closed', name: 'In the round' },
  { value: 'closing', name: 'Closing' },
  { value: 'stapling', name: 'Stapling' },
  { value: 'extras', name: 'Extras' },
  { value: 'cloths', name: 'Cloths' },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** The cover's pieces to scale; the construction and its choices in the tray, and which part is of which cloth. */
@Component({
  selector: 'yl-cover-station',
  imports: [NotFetched, Tray, Words, Table, FinishedView, FinishedFacts, Switch, FieldsTray, OwnZipTray, SlotsTray, ZipsTray],
  template: `
    @if (part() === 'closed') {
      @defer (on immediate) {
        <yl-finished-view />
      } @error {
        <yl-not-fetched />
      }
    } @else {
      <yl-table [scene]="scene()" [picked]="picked()" (pick)="pick($event)">
        @if (part() !== 'stapling') {
          <ul
            class="gap-3.5 absolute top-5 right-41 flex text-label text-ink-soft pointer-events-none [&_i]:border-t-[2.4px] [&_i]:w-5 [&_i]:h-0 [&_li]:gap-1.5 [&_li]:flex [&_li]:items-center"
            data-part="legend"
            aria-hidden="true"
          >
            <li><i class="border-madder"></i>cut</li>
            <li><i class="border-chalk border-dashed!"></i>sew</li>
          </ul>
        }
      </yl-table>
    }
    <div ylTray class="[grid-area:tray]" role="group" aria-label="Cover tray">
      @if (kept(); as words) {
        <p ylWords role="status">{{ words }}</p>
      }
      <yl-switch class="self-end" [bare]="true" data-part="tabs" label="Cover" [options]="parts()" [value]="part()" (picked)="show($event)" />
      @let shown = part();
      @if (shown === 'cloths') {
        @defer (on immediate) {
          <yl-slots-tray />
        } @error {
          <yl-not-fetched />
        }
      } @else if (shown === 'closed') {
        @defer (on immediate) {
          <yl-finished-facts />
        } @error {
          <yl-not-fetched />
        }
      } @else if (shown === 'stapling') {
        @if (staplingWords(); as words) {
          <p ylWords>{{ words }}</p>
        }
      } @else {
        @defer (on immediate) {
          @if (shown === 'closing') {
            <yl-own-zip-tray />
          }
          <yl-fields-tray [group]="shown" />
        } @placeholder {
          <span class="min-h-16"></span>
        } @error {
          <yl-not-fetched />
        }
        @if (shown === 'closing') {
          @defer (on immediate) {
            <yl-zips-tray />
          } @error {
            <yl-not-fetched />
          }
        }
      }
    </div>
  `,
  hostDirectives: [StationFrame],
  providers: [RoundLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CoverStation {
  protected readonly store = inject(JobStore);
  readonly #chosen = signal<Part>('made');
  /** Parts that the construction has no fields for are not offered. */
  protected readonly parts = computed(() => {
    const groups = new Set<Part>(this.store.cushionPlan()?.construction.groups ?? []);
    return PARTS.filter(
      ({ value }) => value === 'made' || value === 'cloths' || value === 'closed' || (value === 'stapling' ? this.#stapled() : groups.has(value)),
    );
  });
  protected readonly part = computed<Part>(() => this.parts().find(({ value }) => value === this.#chosen())?.value ?? 'made');
  /** A cover that is fixed with staples. */
  readonly #stapled = computed(() => Boolean(this.store.cushionPlan()?.cover?.staples));
  /** The step of the work order that staples it. */
  protected readonly staplingWords = computed(() => {
    const step = this.store.cushionPlan()?.operations.find(({ onPlan }) => onPlan === 'staples');
    const { units, step: fine } = this.store.inWords();
    return step ? filled(step.text, step.figures, units, fine) : '';
  });
  protected readonly picked = signal<string | null>(null);

  protected readonly kept = computed(() => {
    const kept = this.store.cushionPlan()?.keptCover;
    if (!kept) return '';
    return `The old cover goes back on, ${kept === 'wash' ? 'washed' : 'washed and its seams sewn again'}: nothing of it is cut or bought. This is how it is made. To make a new one, say so under Look over.`;
  });

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const fit = `cover ${this.store.cushionIndex()} ${one?.source.construction.kind ?? ''}`;
    if (one?.state === 'planned' && this.part() === 'stapling') return stapleScene(one, fit, this.store.inWords());
    return one?.state === 'planned' ? coverScene(one, fit, this.store.inWords()) : { title: 'Cover', fit, items: [] };
  });

  protected show(part: Part): void {
    this.#chosen.set(part);
  }

  protected pick(key: string): void {
    this.picked.update((picked) => (picked === key ? null : key));
  }
}
