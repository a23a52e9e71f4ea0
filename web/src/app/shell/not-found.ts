import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Button, Empty } from '../shared/ui/ui';

@Component({
  selector: 'yl-not-found',
  imports: [Empty, Button, RouterLink],
  template: `
    <main ylEmpty>
      <h1>There is no page at this address</h1>
      <p>The job may have been renamed or the link cut short.</p>
      <a ylButton routerLink="/jobs">Go to the jobs</a>
    </main>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NotFound {}
