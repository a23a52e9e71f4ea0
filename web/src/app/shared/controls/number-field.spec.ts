import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import type { HarnessLoader } from '@angular/cdk/testing';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { form, FormField, max, required, validate } from '@angular/forms/signals';
import { ChoiceHarness, FieldHarness, SwitchHarness, TickboxHarness } from '../../testing/harnesses';
import { Choice, Switch } from './choice';
import { NumberField } from './number-field';
import { TextField } from './text-field';
import { Tickbox } from './tickbox';

@Component({
  selector: 'yl-host',
  imports: [NumberField, TextField],
  template: `
    <yl-number label="Density" unit="kg/m³" [min]="8" [max]="300" [value]="value()" (valueChange)="heard.push($event)" />
    <yl-number label="How many" [whole]="true" [optional]="true" [value]="3" (valueChange)="counts.push($event)" />
    <yl-text label="Called" value="Wren" (valueChange)="words.push($event)" />
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Host {
  readonly value = signal<number | null>(35);
  readonly heard: (number | null)[] = [];
  readonly counts: (number | null)[] = [];
  readonly words: string[] = [];
}

describe('a number field', () => {
  let host: Host;
  let loader: HarnessLoader;
  const enter = async (label: string, text: string): Promise<string> => {
    const field = await loader.getHarness(FieldHarness.called(label));
    await field.enter(text);
    return field.says();
  };

  beforeEach(() => {
    const fixture = TestBed.createComponent(Host);
    host = fixture.componentInstance;
    loader = TestbedHarnessEnvironment.loader(fixture);
  });

  it('takes a point or a comma, and gives only what is in range', async () => {
    expect(await enter('Density', '32,5')).toBe('');
    expect(await enter('Density', '7')).toBe('At least 8.');
    expect(await enter('Density', '301')).toBe('At most 300.');
    expect(await enter('Density', 'thick')).toBe('“thick” is not a number.');
    const field = await loader.getHarness(FieldHarness.called('Density'));
    expect([await field.text(), await field.isWrong()]).toEqual(['thick', true]);
    expect(await enter('Density', '40')).toBe('');
    expect(host.heard).toEqual([32.5, 40]);
  });

  it('wants whole numbers where it says so, and nothing where it may', async () => {
    expect(await enter('How many', '2.5')).toBe('A whole number, please.');
    expect(await enter('How many', '')).toBe('');
    expect(host.counts).toEqual([null]);
    await enter('Density', '');
    expect(host.heard).toEqual([]);
  });

  it('beside it words are given trimmed', async () => {
    await enter('Called', '  Heron 40 ');
    expect(host.words).toEqual(['Heron 40']);
  });
});

@Component({
  selector: 'yl-form-host',
  imports: [NumberField, Choice, Switch, Tickbox, FormField],
  template: `
    <yl-number label="Poured" [optional]="true" [formField]="form.poured" />
    <yl-number label="Run through" [optional]="true" [formField]="form.through" />
    <yl-choice label="Foam" [options]="foams" [formField]="form.foam" />
    <yl-switch label="Stands" [options]="places" [formField]="form.place" />
    <yl-tickbox [formField]="form.wet">wetted</yl-tickbox>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class FormHost {
  readonly foams = [
    { value: 'heron', name: 'Heron 40' },
    { value: 'plover', name: 'Plover 41' },
  ];
  readonly places = [
    { value: 'in', name: 'indoors' },
    { value: 'out', name: 'outdoors' },
  ];
  readonly model = signal({ poured: 2 as number | null, through: null as number | null, foam: '', place: 'in', wet: false });
  readonly form = form(this.model, (path) => {
    required(path.poured, { message: 'How much?' });
    max(path.poured, 10);
    validate(path.through, ({ value, valueOf }) => ((value() ?? 0) > (valueOf(path.poured) ?? 0) ? { kind: 'more', message: 'More than was poured.' } : null));
  });
}

describe('the shared controls in a form', () => {
  it('show its values, give theirs, and say what the form has against them', async () => {
    const fixture = TestBed.createComponent(FormHost);
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const [poured, through] = [await loader.getHarness(FieldHarness.called('Poured')), await loader.getHarness(FieldHarness.called('Run through'))];
    expect(await poured.text()).toBe('2');
    await through.enter('3');
    expect([await through.says(), await through.isWrong(), fixture.componentInstance.form().valid()]).toEqual(['More than was poured.', true, false]);
    await poured.enter('11');
    expect(await poured.says()).toBe('At most 10.');
    await poured.enter('');
    expect(await poured.says()).toBe('How much?');
    await poured.enter('4');
    expect([await through.isWrong(), fixture.componentInstance.form().valid()]).toEqual([false, true]);

    const foam = await loader.getHarness(ChoiceHarness.called('Foam'));
    expect(await foam.options()).toEqual(['not said', 'Heron 40', 'Plover 41']);
    await foam.choose('Plover 41');
    const place = await loader.getHarness(SwitchHarness.called('Stands'));
    expect(await place.chosen()).toBe('indoors');
    await place.choose('outdoors');
    await (await loader.getHarness(TickboxHarness.called('wetted'))).toggle();
    expect(fixture.componentInstance.model()).toEqual({ poured: 4, through: 3, foam: 'plover', place: 'out', wet: true });
  });
});
