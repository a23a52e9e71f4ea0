import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { JobStore } from '../job/job-store';
import { RoundAside } from '../round/round-aside';
import { Switch } from '../shared/controls/choice';
import type { Scene } from '../shared/table/scene';
import { Table, type Edit, type Move } from '../shared/table/table';
import { Button, NotFetched, SidePanel, Split, StationFrame, Tray } from '../shared/ui/ui';
import { measureWord, withMeasure } from '../template/measures';
import { buildScene, crownScene, firstProfile, type ProfileLine } from './build-scene';
import { CoreTray } from './core-tray';
import { CrownTray } from './crown-tray';
import { FitPanel } from './fit-panel';
import { SchoolTray } from './school-tray';
import { WrapTray } from './wrap-tray';

const PARTS = [
  { value: 'school', name: 'School' },
  { value: 'core', name: 'Core' },
  { value: 'wrap', name: 'Wrap' },
  { value: 'crown', name: 'Crown' },
] as const;

/** From the finished size to core, wrap and crown by an allowance school, in plan and section, with the fit predicted. */
@Component({
  selector: 'yl-build-station',
  imports: [Button, RoundAside, NotFetched, Split, SidePanel, Tray, Table, Switch, SchoolTray, CoreTray, WrapTray, CrownTray, FitPanel],
  templateUrl: './build-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BuildStation {
  protected readonly store = inject(JobStore);
  protected readonly parts = PARTS;
  protected readonly inTheRound = signal(false);
  protected readonly part = signal<(typeof PARTS)[number]['value']>('school');
  /** The crown is on the table, not plan and section. */
  protected readonly crowning = computed(() => this.part() === 'crown' && (this.store.cushionPlan()?.crown ?? null) !== null);

  /** The dragged line; afresh for another cushion and when the surface has come. */
  readonly #line = linkedSignal<readonly [number, boolean], ProfileLine | null>({
    source: () => [this.store.cushionIndex(), (this.store.cushionPlan()?.crown?.answer ?? null) !== null],
    computation: ([index, known], before) => (before && before.source[0] === index && (before.source[1] || !known) ? before.value : this.#first()),
  });

  protected readonly scene = computed<Scene>(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    const fit = `build ${this.store.cushionIndex()} ${this.crowning() ? 'crown' : 'section'} ${one?.source.template.shape ?? ''}`;
    if (!one || !shop) return { title: 'Build', fit, items: [] };
    const line = this.#line();
    return this.crowning() && line ? crownScene(one, line, this.store.inWords(), fit) : buildScene(one, shop, this.store.inWords(), fit);
  });

  protected moved(move: Move | null): void {
    if (!move) return;
    const end = move.key === 'profile-from' ? 'from' : 'to';
    this.#line.update((line) => line && { ...line, [end]: move.to });
  }

  protected edited({ key, mm }: Edit): void {
    if (key === 'heightMm') this.store.editCushion('Height', (cushion) => ({ ...cushion, heightMm: mm }));
    else this.store.editCushion(measureWord(this.store.cushion(), key), (cushion) => withMeasure(cushion, key, mm));
  }

  #first(): ProfileLine | null {
    const one = this.store.cushionPlan();
    return one ? firstProfile(one) : null;
  }
}
