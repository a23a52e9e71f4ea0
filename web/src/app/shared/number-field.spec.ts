import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { NumberField } from './number-field';
import { TextField } from './text-field';

@Component({
  selector: 'yl-host',
  imports: [NumberField, TextField],
  template: `
    <yl-number label="Density" unit="kg/m³" [least]="8" [most]="300" [value]="value()" (changed)="heard.push($event)" />
    <yl-number label="How many" [whole]="true" [optional]="true" [value]="3" (changed)="counts.push($event)" />
    <yl-text label="Called" value="Wren" (changed)="words.push($event)" />
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
  let fixture: ComponentFixture<Host>;
  let boxes: HTMLInputElement[];
  const type = async (box: number, text: string): Promise<string> => {
    const input = boxes[box]!;
    input.value = text;
    input.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    return input.closest('.field')?.querySelector('.field-says')?.textContent?.trim() ?? '';
  };

  beforeEach(async () => {
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    boxes = [...(fixture.nativeElement as HTMLElement).querySelectorAll('input')];
  });

  it('takes a point or a comma, and gives only what is in range', async () => {
    expect(await type(0, '32,5')).toBe('');
    expect(await type(0, '7')).toBe('At least 8.');
    expect(await type(0, '301')).toBe('At most 300.');
    expect(await type(0, 'thick')).toBe('“thick” is not a number.');
    expect(boxes[0]!.value).toBe('thick');
    expect(boxes[0]!.getAttribute('aria-invalid')).toBe('true');
    expect(await type(0, '40')).toBe('');
    expect(fixture.componentInstance.heard).toEqual([32.5, 40]);
  });

  it('wants whole numbers where it says so, and nothing where it may', async () => {
    expect(await type(1, '2.5')).toBe('A whole number, please.');
    expect(await type(1, '')).toBe('');
    expect(fixture.componentInstance.counts).toEqual([null]);
    await type(0, '');
    expect(fixture.componentInstance.heard).toEqual([]);
  });

  it('beside it words are given trimmed', async () => {
    await type(2, '  Heron 40 ');
    expect(fixture.componentInstance.words).toEqual(['Heron 40']);
  });
});
