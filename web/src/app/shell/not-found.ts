import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'yl-not-found',
  imports: [RouterLink],
  template: `
    <main class="empty">
      <h1>There is nothing at this address</h1>
      <p>The job may have been renamed or the link cut short.</p>
      <a class="button" routerLink="/jobs">Go to the jobs</a>
    </main>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NotFound {}
