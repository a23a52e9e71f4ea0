import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FINDINGS, KG_M3_PER_LB_FT3, N_PER_LBF, RATINGS, sampleResults, shipped, type Constants, type Finding, type Sample } from '@yardland/core';
import { catchError, of } from 'rxjs';
import { SamplesApi } from '../gauges/samples-api';
import { Choice } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { TextField } from '../shared/controls/text-field';
import { Tickbox } from '../shared/controls/tickbox';
import { TrayPart } from '../shared/ui/ui';
import { FINDING_WORDS, optionsOf, RATING_WORDS } from './look-over-words';
import { Pictures } from '../shared/reading/pictures';
import { SeatEditor, toggled } from './seat-editor';

/** The old core measured, looked at and photographed. */
@Component({
  selector: 'yl-old-core-tray',
  imports: [Pictures, Tickbox, Choice, NumberField, QuantityField, TextField],
  templateUrl: './old-core-tray.html',
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OldCoreTray {
  protected readonly edit = inject(SeatEditor);
  readonly #samples = toSignal(
    inject(SamplesApi)
      .list()
      .pipe(catchError(() => of([]))),
    { initialValue: [] },
  );
  protected readonly findings = FINDINGS.map((value) => ({ value, name: FINDING_WORDS[value] }));
  protected readonly ratings = optionsOf(RATINGS, RATING_WORDS);
  protected readonly measured = computed(() => this.#samples().map(({ sample }) => ({ value: sample.name, name: sample.name })));
  readonly #inch = computed(() => this.edit.store.units() === 'inch');
  protected readonly densityUnit = computed(() => (this.#inch() ? { name: 'lb/ft³', each: KG_M3_PER_LB_FT3 } : { name: 'kg/m³', each: 1 }));
  protected readonly forceUnit = computed(() => (this.#inch() ? { name: 'lbf', each: N_PER_LBF } : { name: 'N', each: 1 }));
  protected readonly shown = (value: number | undefined, each: number): number | null => (value === undefined ? null : Math.round((value / each) * 100) / 100);
  protected readonly stored = (value: number | null, each: number): number | null => (value === null ? null : value * each);

  protected toggle(finding: Finding): void {
    this.edit.setOld('Findings', { findings: toggled(this.edit.old().findings, finding) });
  }

  /** Takes over what a bench sample measured: one change, so that one undo takes it back. */
  protected takeSample(name: string): void {
    const sample = this.#samples().find((one) => one.sample.name === name)?.sample;
    if (sample) this.edit.setOld('Measured at the gauges', { sample: name, ...measuresOf(sample, this.edit.old().findings, this.#assume()) });
  }

  protected addPicture(id: string): void {
    this.edit.setOld('Picture of the old core', { pictures: [...(this.edit.old().pictures ?? []), id] });
  }

  protected dropPicture(id: string): void {
    this.edit.setOld('Picture taken out', { pictures: (this.edit.old().pictures ?? []).filter((one) => one !== id) });
  }

  readonly #assume = computed<Constants>(() => (key) => this.edit.store.shop()?.assume(key, this.edit.store.units()) ?? shipped(key));
}

/** What a sample says of an old core; what it did not measure is left as it is. */
function measuresOf(sample: Sample, findings: readonly Finding[], assume: Constants): Record<string, unknown> {
  const { density, press } = sampleResults(sample, assume);
  const slow = (sample.recoverySeconds ?? 0) > assume('slowReturn');
  return {
    ...(sample.edgeMm === undefined ? {} : { edgeMm: sample.edgeMm }),
    ...(sample.middleMm === undefined ? {} : { middleMm: sample.middleMm }),
    ...(density ? { densityKgM3: Math.round(density.value * 10) / 10 } : {}),
    ...(press ? { hardness25N: Math.round(press.hardness25N) } : {}),
    ...(slow && !findings.includes('no-return') ? { findings: [...findings, 'no-return'] } : {}),
  };
}
