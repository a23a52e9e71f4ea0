import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Icon } from '../shared/icon';
import { compare, foundAtLooks, formatLengthUnit, meaningOf, promised, type Check, type CheckPlace } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { dayWords, today } from '../shared/words/days';
import { Length } from '../shared/words/length';
import { NoteField } from '../shared/controls/note-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { Choice, type Option } from '../shared/controls/choice';
import { Pictures } from '../shared/reading/pictures';
import { Table } from '../shared/table/table';
import { checkScene } from './check-scene';
import { CORNER_OPTIONS, LOOK_WORDS, meaningWords, PLACES, SEAT_OPTIONS, THUMB_OPTIONS, WELT_OPTIONS } from '../shared/words/check-words';
import { Button, Panel, PanelHead, StationFrame, Tool, Words } from '../shared/ui/ui';

/** What is judged by hand and eye. */
const JUDGED: readonly { readonly key: 'corners' | 'welt' | 'thumb' | 'seat'; readonly label: string; readonly options: readonly Option[] }[] = [
  { key: 'corners', label: 'Corners', options: CORNER_OPTIONS },
  { key: 'welt', label: 'Welt', options: WELT_OPTIONS },
  { key: 'thumb', label: 'Under the thumb', options: THUMB_OPTIONS },
  { key: 'seat', label: 'In its seat', options: SEAT_OPTIONS },
];
type Changed = { readonly [Key in keyof Check]?: Check[Key] | undefined };

/** Dressed cushions measured against what was promised; each check is kept with its day and remark. */
@Component({
  selector: 'yl-check-station',
  imports: [RouterLink, Table, Choice, Pictures, Panel, PanelHead, Tool, NoteField, Words, Button, Length, QuantityField, Icon],
  templateUrl: './check-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CheckStation {
  protected readonly store = inject(JobStore);

  protected readonly checks = computed(() => {
    const one = this.store.cushionPlan();
    if (!one) return [];
    const welted = one.pieces.some(({ role }) => role === 'welt');
    return (one.source.checks ?? []).map((check, index) => ({
      index,

      title: `Cushion ${index + 1}, ${dayWords(check.date)}`,
      remark: check.remark ?? '',
      twistMm: check.twistMm ?? null,
      pictures: check.pictures ?? [],
      judged: JUDGED.filter(({ key }) => key !== 'welt' || welted).map(({ key, label, options }) => ({
        key,
        label,
        options,
        value: check[key] ?? '',
      })),
      meanings: meaningOf(one, check).map((meaning) => meaningWords(meaning, (mm) => this.#length(mm))),
      rows: compare(one, check).map((row) => ({ ...row, letter: PLACES[row.place].letter, name: PLACES[row.place].words, off: this.#offWords(row.offMm) })),
    }));
  });

  /** Faults found at the bench before they were hidden, by kind. */
  protected readonly found = computed(() =>
    foundAtLooks(this.store.cushion()?.bench?.looks ?? [])
      .map(({ kind, count }) => `${LOOK_WORDS[kind]} ${count}`)
      .join(', '),
  );

  protected readonly stationNames = { template: 'Template', build: 'Build', filling: 'Filling', cover: 'Cover', bench: 'Bench' };
  protected readonly scene = computed(() => {
    const one = this.store.cushionPlan();
    return one ? checkScene(one) : { title: 'Where it is measured', fit: 'none', items: [] };
  });

  protected add(): void {
    this.#checks('Check begun', (checks) => [...checks, { date: today() }]);
  }

  protected remove(index: number): void {
    this.#checks('Check removed', (checks) => checks.filter((_, i) => i !== index));
  }

  protected measure(index: number, place: CheckPlace, mm: number | null): void {
    const plan = this.store.cushionPlan();
    // What was promised is kept with the first measure: constants and sizes may change afterwards.
    this.#set(PLACES[place].words, index, (check) => ({ [place]: mm ?? undefined, promised: check.promised ?? (plan && promised(plan)) ?? undefined }));
  }

  protected twist(index: number, mm: number | null): void {
    this.#set('Twist', index, { twistMm: mm ?? undefined });
  }

  protected judge(index: number, { key, label }: Pick<(typeof JUDGED)[number], 'key' | 'label'>, value: string): void {
    this.#set(label, index, { [key]: value });
  }

  protected remark(index: number, text: string): void {
    this.#set('Remark', index, { remark: text.slice(0, 2000) });
  }

  protected addPicture(index: number, id: string): void {
    this.#set('Picture of the cushion', index, (check) => ({ pictures: [...(check.pictures ?? []), id] }));
  }

  protected dropPicture(index: number, id: string): void {
    this.#set('Picture taken out', index, (check) => ({ pictures: (check.pictures ?? []).filter((one) => one !== id) }));
  }

  /** Changes one check; what becomes undefined is left out. */
  #set(label: string, index: number, change: Changed | ((check: Check) => Changed)): void {
    this.#checks(label, (checks) =>
      checks.map((check, i) => {
        if (i !== index) return check;
        const next = { ...check, ...(typeof change === 'function' ? change(check) : change) };
        return Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) as Check;
      }),
    );
  }

  #length(mm: number): string {
    const { units, step } = this.store.inWords();
    return formatLengthUnit(mm, units, step);
  }

  #checks(label: string, change: (checks: Check[]) => Check[]): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, checks: change(cushion.checks ?? []) }));
  }

  #offWords(mm: number | null): string {
    if (mm === null) return '';
    const words = this.#length(Math.abs(mm));
    return words.startsWith('0 ') ? 'as promised' : `${words} ${mm > 0 ? 'over' : 'under'}`;
  }
}
