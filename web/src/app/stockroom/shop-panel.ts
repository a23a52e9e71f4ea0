import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { shopSchema, type Machine } from '@yardland/core';
import { Choice } from '../shared/choice';
import { Icon } from '../shared/icon';
import { ShopEditor } from '../shared/shop-editor';
import { ShopService } from '../shared/shop.service';
import { TextField } from '../shared/text-field';
import { Button, Tool, Words } from '../shared/ui/ui';

/** What the shop sews on, and who works in it: by name only, so that a tick at the bench says whose it is. */
@Component({
  selector: 'yl-shop-panel',
  imports: [Button, Choice, Icon, TextField, Tool, Words],
  template: `
    <h2>What the shop sews on</h2>
    <yl-choice class="mb-6.5 block max-w-96" label="Machine" [options]="machines" [value]="machine()" (picked)="setMachine($event)" />
    <h2 id="people-title">Who works here</h2>
    <p ylWords>Names alone, no passwords: at the bench each says which of them they are, and a tick says whose it is.</p>
    @if (people().length) {
      <ul aria-labelledby="people-title" class="mt-1.5 mb-2.5 flex flex-wrap gap-2">
        @for (name of people(); track name) {
          <li class="flex items-center rounded-full bg-linen pl-3.5 shadow-card">
            {{ name }}
            <button type="button" ylTool="quiet" [attr.aria-label]="'Remove ' + name" (click)="remove(name)"><svg ylIcon="x" size="18"></svg></button>
          </li>
        }
      </ul>
    }
    <div class="mb-6.5 flex max-w-110 items-end gap-3">
      <yl-text class="flex-1" label="Name" [maxLength]="40" [value]="name()" (valueChange)="name.set($event)" />
      <button type="button" ylButton (click)="add()"><svg ylIcon="plus" size="20"></svg> Add them</button>
    </div>
  `,
  host: { class: 'block [&>h2]:mt-1.5 [&>h2]:mb-2 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShopPanel {
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #edit = inject(ShopEditor);
  protected readonly name = signal('');
  protected readonly people = computed(() => this.#shop()?.people ?? []);
  protected readonly machines = [
    { value: 'walking-foot', name: 'a walking foot: straight on' },
    { value: 'home', name: 'a home machine: pinned, gone round twice' },
  ] as const;
  protected readonly machine = computed(() => this.#shop()?.machine ?? 'walking-foot');

  protected setMachine(machine: Machine): void {
    this.#edit.change(({ machine: _before, ...shop }) => (machine === 'walking-foot' ? shop : { ...shop, machine }));
  }

  protected add(): void {
    const name = this.name().trim();
    if (!name) {
      this.#edit.refuse('Write a name first.');
      return;
    }
    if (this.people().includes(name)) {
      this.#edit.refuse(`${name} is there already.`);
      return;
    }
    const people = this.#edit.taken(shopSchema.shape.people, [...this.people(), name], 'metric');
    if (!people) return;
    this.#edit.change((shop) => ({ ...shop, people }));
    this.name.set('');
  }

  /** What they have ticked keeps their name. */
  protected remove(name: string): void {
    this.#edit.change(({ people = [], ...shop }) => {
      const left = people.filter((one) => one !== name);
      return left.length ? { ...shop, people: left } : shop;
    });
  }
}
