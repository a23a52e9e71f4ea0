import { TestKey } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { PickListHarness } from '../../testing/harnesses';
import { PickList } from './pick-list';

@Component({
  selector: 'yl-host',
  imports: [PickList],
  template: `<yl-pick-list label="Samples" [lines]="lines" [value]="here()" (picked)="here.set($event)" />`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Host {
  readonly lines = ['old', 'new', 'other'].map((value) => ({ value, name: `The ${value} one`, about: value }));
  readonly here = signal<string | null>('old');
}

describe('a list to pick from', () => {
  it('shows what is picked, and takes another by pointer or by keys', async () => {
    const fixture = TestBed.createComponent(Host);
    const list = await TestbedHarnessEnvironment.loader(fixture).getHarness(PickListHarness.called('Samples'));
    expect(await list.names()).toEqual(['The old one', 'The new one', 'The other one']);
    expect(await list.picked()).toBe('The old one');
    await list.pick('The other one');
    expect(fixture.componentInstance.here()).toBe('other');
    await list.press(TestKey.HOME, TestKey.ENTER);
    expect([await list.picked(), fixture.componentInstance.here()]).toEqual(['The old one', 'old']);
    // Picking what is picked already does not leave the list without any.
    await list.pick('The old one');
    expect(await list.picked()).toBe('The old one');
  });
});
