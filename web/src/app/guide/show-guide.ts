import { ApplicationRef, createComponent, type EnvironmentInjector } from '@angular/core';
import { GuideCard } from './guide-card';

let shown = false;

/** Puts the guide's card on the page, once; it shows itself where it has something to say. */
export function showGuide(injector: EnvironmentInjector): void {
  if (shown) return;
  shown = true;
  const card = createComponent(GuideCard, { environmentInjector: injector });
  injector.get(ApplicationRef).attachView(card.hostView);
  document.body.append(card.location.nativeElement as HTMLElement);
}
