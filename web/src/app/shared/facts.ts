import { ChangeDetectionStrategy, Component, input } from '@angular/core';

export interface Fact {
  readonly name: string;
  readonly says: string;
}

/** What follows from the choices beside it: a name and what it comes to. */
@Component({
  selector: 'yl-facts',
  template: `
    <dl
      class="flex flex-wrap self-center gap-y-0.5 gap-x-5 [&_dt]:text-label [&_dt]:text-ink-soft [&_dd]:font-[650] [&_dd]:text-body [&_dd]:leading-[1.4] [&_small]:text-label [&_small]:font-normal"
    >
      @for (fact of facts(); track fact.name) {
        <div>
          <dt>{{ fact.name }}</dt>
          <dd>{{ fact.says }}</dd>
        </div>
      }
    </dl>
  `,
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Facts {
  readonly facts = input.required<readonly Fact[]>();
}
