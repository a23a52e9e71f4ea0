import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Icon } from '../shared/icon';
import { formatNumber, litresOf, sampleResults, say, shipped, type Constants, type DeviceId, type Drying, type Grade, type Sample } from '@yardland/core';
import { catchError, of } from 'rxjs';
import { dayWords, today } from '../shared/words/days';
import { newId } from '../shared/saving/new-id';
import { NumberField } from '../shared/controls/number-field';
import { Messages } from '../shared/messages';
import { PickList, type PickLine } from '../shared/controls/pick-list';
import { problemOf } from '../shared/saving/problem';
import { QuantityField } from '../shared/controls/quantity-field';
import { ShopService } from '../shared/saving/shop.service';
import { TextField } from '../shared/controls/text-field';
import { Button, Empty, FieldRow, Panel, PanelHead, Room, RoomHead, RoomMain, Tool, Words } from '../shared/ui/ui';
import { WriteButton } from '../log/write-button';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { DeviceReader } from './device-reader';
import { DrainPanel } from './drain-panel';
import { DryingPanel } from './drying-panel';
import { SamplesApi } from './samples-api';
import { SamplesStore, type ShownSample } from './samples-store';

type Size = 'widthMm' | 'depthMm' | 'thicknessMm' | 'edgeMm' | 'middleMm';

/** What messages of the gauges are about. */
const ABOUT = 'samples';

/** Bench tests of foam: density, press test, set, recovery, drain; typed in or read from a device. */
@Component({
  selector: 'yl-gauges-page',
  imports: [
    FieldRow,
    RoomMain,
    RoomHead,
    Button,
    Empty,
    Panel,
    PanelHead,
    Tool,
    Words,
    Tape,
    ThemeButton,
    QuantityField,
    DeviceReader,
    DryingPanel,
    DrainPanel,
    NumberField,
    PickList,
    TextField,
    Icon,
    WriteButton,
  ],
  templateUrl: './gauges-page.html',
  hostDirectives: [Room],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GaugesPage {
  readonly #api = inject(SamplesApi);
  readonly #shops = inject(ShopService);
  readonly #shop = toSignal(this.#shops.shop$);
  readonly #devices = toSignal(this.#api.devices().pipe(catchError(() => of([]))), { initialValue: [] });
  readonly #document = toSignal(this.#shops.document$.pipe(catchError(() => of(null))));
  readonly #pressed = computed(() => {
    const sample = this.current()?.sample;
    return sample ? sampleResults(sample, this.assume()).press : null;
  });
  protected readonly units = computed(() => this.#shop()?.document.units ?? 'metric');
  /** The shop's constants, calibrated where it has calibrated them. */
  protected readonly assume = computed<Constants>(() => (key) => this.#shop()?.assume(key, this.units()) ?? shipped(key));
  readonly #plateCm2 = computed(() => this.assume()('pressPlateCm2'));
  /** Thickness is read finer than foam is cut. */
  protected readonly step = { mm: 0.5, inch: 1 / 32 };
  readonly #store = inject(SamplesStore);
  protected readonly samples = this.#store.samples;
  readonly #chosen = signal<string | null>(null);
  readonly #messages = inject(Messages);
  protected readonly loadKg = signal(15);

  protected readonly current = computed(() => this.samples().find(({ id }) => id === this.#chosen()) ?? this.samples()[0] ?? null);
  protected readonly lines = computed<readonly PickLine[]>(() =>
    this.samples().map(({ id, sample }) => ({ value: id, name: sample.name, about: `${sample.lot ? `lot ${sample.lot} · ` : ''}${dayWords(sample.date)}` })),
  );
  protected readonly results = computed(() => {
    const sample = this.current()?.sample;
    if (!sample) return null;
    const { density, press, set, retained, problems } = sampleResults(sample, this.assume());
    return {
      density: density ? formatNumber(density.value, 1) : null,
      press: press
        ? {
            hardness: formatNumber(press.hardness25N),
            range: `${formatNumber(press.lowN)} to ${formatNumber(press.highN)} N`,
            support: formatNumber(press.supportFactor, 2),
          }
        : null,
      set: set === null ? null : formatNumber(set * 100),
      retained: retained.at(-1) ?? null,
      problems: problems.map((problem) => say(problem, { units: this.units(), step: this.step })),
    };
  });
  protected readonly pressQuery = computed(() => {
    const thicknessMm = this.current()?.sample.thicknessMm;
    return thicknessMm && this.loadKg() > 0
      ? { thicknessMm, massKg: this.loadKg(), plateAreaCm2: this.current()?.sample.press?.plateAreaCm2 ?? this.#plateCm2() }
      : null;
  });
  protected readonly scaleQuery = computed(() => {
    const sample = this.current()?.sample;
    const litres = sample ? litresOf(sample) : null;
    return litres === null ? null : { litres };
  });

  /** Samples that were drained, for laying beside the one in hand. */
  protected readonly drained = computed(() =>
    this.samples().filter(({ id, sample }) => id !== this.current()?.id && (sample.drain?.collected.length ?? 0) > 0),
  );
  constructor() {
    this.#store.load().subscribe({ error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message) });
  }

  protected simulated(device: DeviceId): boolean {
    return this.#devices().find(({ id }) => id === device)?.simulated ?? false;
  }

  protected choose(id: string): void {
    this.#chosen.set(id);
  }

  protected add(): void {
    this.#chosen.set(this.#store.add({ format: 'yardland/sample@1', name: `Sample of ${today()}`, date: today() }));
  }

  protected remove({ id }: ShownSample): void {
    this.#store.remove(id).subscribe({ error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message) });
  }

  /** Puts the sample into the catalogue as a foam: its density and hardness as measured, the sheet as of the first foam there. */
  protected makeGrade(): void {
    const sample = this.current()?.sample;
    if (!sample) return;
    const { density, press } = sampleResults(sample, this.assume());
    if (!density || !press) return;
    this.#shops
      .change((shop) => {
        const id = newId(sample.name, new Set(shop.grades.map((grade) => grade.id)));
        const sheet = shop.grades[0]?.sheet ?? { widthMm: 1200, lengthMm: 2000 };
        const whole = (value: number): number => Math.round(value * 10) / 10;
        const grade: Grade = {
          id,
          name: sample.name.slice(0, 80),
          family: press.supportFactor >= 2.4 ? 'high-resilience' : 'conventional',
          densityKgM3: whole(density.value),
          hardness25N: Math.round(press.hardness25N),
          supportFactor: Math.round(press.supportFactor * 100) / 100,
          sheet,
          thicknessesMm: [sample.thicknessMm ?? 100],
          pricePerM3: 0,
        };
        return { ...shop, grades: [...shop.grades, grade] };
      })
      .subscribe({
        next: () => this.#messages.tell(ABOUT, `${sample.name} stands in the stockroom now, as measured. Give it its sheets and its price there.`),
        error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message),
      });
  }

  /** The lot on the shelf that the sample is of, and whether its hardness is noted there; null while there is none, or nothing was pressed. */
  protected readonly ofLot = computed(() => {
    const [sample, press] = [this.current()?.sample, this.#pressed()];
    const grade = sample?.lot ? this.#document()?.grades.find(({ lots }) => lots?.some(({ lot }) => lot === sample.lot)) : undefined;
    if (!sample?.lot || !press || !grade) return null;
    const measured = Math.round(press.hardness25N);
    const noted = grade.lots?.every(({ lot, hardness25N }) => lot !== sample.lot || hardness25N === measured) ?? false;
    const off = Math.round((measured / grade.hardness25N - 1) * 100);
    const against = off === 0 ? 'as it is sold' : `${Math.abs(off)} % ${off < 0 ? 'softer' : 'firmer'} than it is sold as`;
    return { noted, says: `Lot ${sample.lot} of ${grade.name}: ${against}.${noted ? ' Noted: jobs cut from it say so.' : ''}` };
  });

  /** Jobs that are cut from this lot are told what it measures. */
  protected noteWithLot(): void {
    const [lot, press] = [this.current()?.sample.lot, this.#pressed()];
    if (!lot || !press) return;
    const hardness25N = Math.round(press.hardness25N);
    const noted = (lots: Grade['lots']): Grade['lots'] => lots?.map((one) => (one.lot === lot ? { ...one, hardness25N } : one));
    this.#shops
      .change((shop) => ({ ...shop, grades: shop.grades.map((grade) => (grade.lots ? { ...grade, lots: noted(grade.lots) } : grade)) }))
      .subscribe({ error: (error: unknown) => this.#messages.warn(ABOUT, problemOf(error).message) });
  }

  protected setText(key: 'name' | 'lot' | 'note', value: string): void {
    const text = value.trim();
    if (key === 'name' && !text) return;
    this.#edit(({ [key]: _before, ...sample }) => (text ? { ...sample, [key]: text } : sample) as Sample);
  }

  protected setSize(key: Size, mm: number | null): void {
    this.#edit(({ [key]: _before, ...sample }) => (mm === null ? sample : { ...sample, [key]: mm }) as Sample);
  }

  protected setNumber(key: 'massKg' | 'recoverySeconds', value: number | null): void {
    this.#edit(({ [key]: _before, ...sample }) => (value === null ? sample : { ...sample, [key]: value }) as Sample);
  }

  /** Square centimetres as typed; nothing goes back to the two sides. */
  protected setArea(cm2: number | null): void {
    this.#edit(({ areaMm2: _before, ...sample }) => (cm2 === null ? sample : { ...sample, areaMm2: cm2 * 100 }));
  }

  protected setMass(kg: number): void {
    this.#edit((sample) => ({ ...sample, massKg: Math.round(kg * 10_000) / 10_000 }));
  }

  protected addReading(mm: number): void {
    const massKg = this.loadKg();
    this.#edit((sample) => {
      const before = sample.press ?? { plateAreaCm2: this.#plateCm2(), readings: [] };
      return { ...sample, press: { ...before, readings: [...before.readings, { massKg, loadedThicknessMm: Math.max(0.5, Math.round(mm * 10) / 10) }] } };
    });
  }

  protected dropReading(index: number): void {
    this.#edit((sample) => (sample.press ? { ...sample, press: { ...sample.press, readings: sample.press.readings.filter((_, i) => i !== index) } } : sample));
  }

  protected setDrain(drain: Sample['drain']): void {
    this.#edit((sample) => ({ ...sample, drain }));
  }

  protected setDrying(drying: Drying): void {
    this.#edit((sample) => ({ ...sample, drying }));
  }

  #edit(change: (sample: Sample) => Sample): void {
    const current = this.current();
    if (current) this.#store.change(current.id, change);
  }
}
