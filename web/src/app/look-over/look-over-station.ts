import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { lookedOver } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Switch } from '../shared/controls/choice';
import type { Scene } from '../shared/table/scene';
import { Table, type Edit } from '../shared/table/table';
import { NotFetched, SidePanel, Split, StationFrame, Tray } from '../shared/ui/ui';
import { AllCoresTray } from './all-cores-tray';
import { longCoreScene } from './long-core-scene';
import { LongCoreTray } from './long-core-tray';
import { oldCoreScene, seatScene } from './look-over-scene';
import { VERDICT_WORDS } from './look-over-words';
import { OldCoreTray } from './old-core-tray';
import { OldCoreVerdict } from './old-core-verdict';
import { OldCoverTray } from './old-cover-tray';
import { SeatEditor } from './seat-editor';
import { SeatTray } from './seat-tray';

const PARTS = [
  { value: 'seat', name: 'The seat' },
  { value: 'core', name: 'Old core' },
  { value: 'cover', name: 'Old cover' },
  { value: 'long', name: 'Several into one' },
  { value: 'all', name: 'Whole job' },
] as const;
type Part = (typeof PARTS)[number]['value'];

/** What the seat is, who uses it how, and what the old core and its cover are still good for. */
@Component({
  selector: 'yl-look-over-station',
  imports: [NotFetched, Split, SidePanel, Tray, Table, Switch, SeatTray, OldCoreTray, OldCoreVerdict, OldCoverTray, LongCoreTray, AllCoresTray],
  providers: [SeatEditor],
  templateUrl: './look-over-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LookOverStation {
  protected readonly store = inject(JobStore);
  readonly #edit = inject(SeatEditor);
  protected readonly parts = PARTS;
  protected readonly part = signal<Part>('seat');

  protected readonly title = computed(() => {
    const one = this.store.cushionPlan();
    const looked = one ? lookedOver(one) : null;
    return looked && VERDICT_WORDS[looked.judged.verdict];
  });

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const fit = `look-over ${this.store.cushionIndex()} ${this.part()}`;
    if (!one) return { title: 'Look over', fit, items: [] };
    if (this.part() === 'core') return oldCoreScene(one, fit);
    return this.part() === 'long' ? longCoreScene(one, fit, this.store.inWords()) : seatScene(one, fit);
  });

  protected edited({ key, mm }: Edit): void {
    if (key === 'deck') this.#edit.setSeat('Deck height', { deckHeightMm: mm });
    if (key === 'edge') this.#edit.setOld('Old core', { edgeMm: mm });
    if (key === 'middle') this.#edit.setOld('Old core', { middleMm: mm });
  }
}
