import { ChangeDetectionStrategy, Component, input } from '@angular/core';

export interface Fact {
  readonly name: string;
  readonly says: string;
}

/** What follows from the choices beside it: a name and what it comes to. */
@Component({
  selector: 'yl-facts',
  template: `
    <dl class="facts small">
      @for (fact of facts(); track fact.name) {
        <div>
          <dt>{{ fact.name }}</dt>
          <dd>{{ fact.says }}</dd>
        </div>
      }
    </dl>
  `,
  host: { class: 'facts-row' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Facts {
  readonly facts = input.required<readonly Fact[]>();
}
