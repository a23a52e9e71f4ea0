import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { UnitSystem } from '@yardland/core';
import { QuantityField } from './quantity-field';

@Component({
  selector: 'yl-host',
  imports: [QuantityField],
  template: `<yl-quantity label="Wide" [mm]="mm()" [units]="units()" [step]="{ mm: 1, inch: 0.125 }" [minMm]="20" (changed)="changed($event)" />`,
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
  let input: HTMLInputElement;
  const says = (): string => (fixture.nativeElement as HTMLElement).querySelector('.field-says')?.textContent?.trim() ?? '';
  const type = async (text: string, then: 'Enter' | 'Escape' | 'blur'): Promise<void> => {
    input.focus();
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    if (then === 'blur') input.blur();
    else input.dispatchEvent(new KeyboardEvent('keydown', { key: then }));
    await fixture.whenStable();
  };

  beforeEach(async () => {
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    input = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
  });

  it('takes either units and shows what it read', async () => {
    input.focus();
    input.value = '23 1/2"';
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(says()).toBe('= 23 1/2 in');
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    await fixture.whenStable();
    expect(fixture.componentInstance.heard).toEqual([596.9]);
    expect(input.value).toBe('597');
  });

  it('says what it could not read, keeps the text, changes nothing', async () => {
    await type('5 kg', 'blur');
    expect(says()).toContain('“kg” is not a length');
    expect([input.value, fixture.componentInstance.heard.length]).toEqual(['5 kg', 0]);
    expect(input.getAttribute('aria-invalid')).toBe('true');
    await type('12', 'Enter');
    expect(says()).toBe('At least 20 mm.');
    expect(fixture.componentInstance.heard).toEqual([]);
    await type('600', 'Escape');
    expect([input.value, fixture.componentInstance.heard.length]).toEqual(['500', 0]);
  });

  it('steps by the shop’s step, and prints anew when the units flip', async () => {
    input.focus();
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }));
    await fixture.whenStable();
    expect(fixture.componentInstance.heard).toEqual([501]);
    fixture.componentInstance.units.set('inch');
    fixture.componentInstance.mm.set(508);
    await fixture.whenStable();
    expect(input.value).toBe('20');
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown' }));
    await fixture.whenStable();
    expect(fixture.componentInstance.heard[1]).toBeCloseTo(19.875 * 25.4, 6);
  });

  it('does not emit when nothing was changed', async () => {
    fixture.componentInstance.mm.set(500.4);
    await fixture.whenStable();
    input.focus();
    input.blur();
    expect(fixture.componentInstance.heard).toEqual([]);
  });
});
