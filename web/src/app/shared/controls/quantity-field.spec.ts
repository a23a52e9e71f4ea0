import { TestKey } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { UnitSystem } from '@yardland/core';
import { FieldHarness } from '../../testing/harnesses';
import { QuantityField } from './quantity-field';

@Component({
  selector: 'yl-host',
  imports: [QuantityField],
  template: `<yl-quantity label="Wide" [value]="mm()" [units]="units()" [step]="{ mm: 1, inch: 0.125 }" [min]="20" (valueChange)="changed($event)" />`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Host {
  readonly mm = signal<number | null>(500);
  readonly units = signal<UnitSystem>('metric');
  readonly heard: (number | null)[] = [];
  changed(mm: number | null): void {
    this.heard.push(mm);
    this.mm.set(mm);
  }
}

describe('a quantity field', () => {
  let fixture: ComponentFixture<Host>;
  let field: FieldHarness;

  beforeEach(async () => {
    fixture = TestBed.createComponent(Host);
    field = await TestbedHarnessEnvironment.loader(fixture).getHarness(FieldHarness.called('Wide'));
  });

  it('takes either units and shows what it read', async () => {
    await field.write('23 1/2"');
    expect(await field.says()).toBe('= 23 1/2 in');
    await field.press(TestKey.ENTER);
    expect(fixture.componentInstance.heard).toEqual([596.9]);
    expect(await field.text()).toBe('597');
  });

  it('says what it could not read, keeps the text, changes nothing', async () => {
    await field.enter('5 kg');
    expect(await field.says()).toContain('“kg” is not a length');
    expect([await field.text(), fixture.componentInstance.heard.length, await field.isWrong()]).toEqual(['5 kg', 0, true]);
    await field.writeAndPress('12', TestKey.ENTER);
    expect(await field.says()).toBe('At least 20 mm.');
    expect(fixture.componentInstance.heard).toEqual([]);
    await field.writeAndPress('600', TestKey.ESCAPE);
    expect([await field.text(), fixture.componentInstance.heard.length]).toEqual(['500', 0]);
  });

  it('steps by the shop’s step, and prints anew when the units flip', async () => {
    await field.press(TestKey.UP_ARROW);
    expect(fixture.componentInstance.heard).toEqual([501]);
    fixture.componentInstance.units.set('inch');
    fixture.componentInstance.mm.set(508);
    expect(await field.text()).toBe('20');
    await field.press(TestKey.DOWN_ARROW);
    expect(fixture.componentInstance.heard[1]).toBeCloseTo(19.875 * 25.4, 6);
  });

  it('does not emit when nothing was changed', async () => {
    fixture.componentInstance.mm.set(500.4);
    expect(await field.text()).toBe('500');
    await field.press(TestKey.TAB);
    await field.leave();
    expect(fixture.componentInstance.heard).toEqual([]);
  });
});
