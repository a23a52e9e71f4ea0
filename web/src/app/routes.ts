import { inject } from '@angular/core';
import type { Routes } from '@angular/router';
import { CoreThread } from './core-thread/core-thread';

/** Deep links: /jobs, and /jobs/ID/2/build for the second cushion at the Build station. */
export const ROUTES: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'jobs' },
  { path: 'jobs', title: 'Jobs · Yardland', loadComponent: async () => (await import('./jobs/jobs-page')).JobsPage },
  { path: 'stockroom', title: 'Stockroom · Yardland', loadComponent: async () => (await import('./stockroom/stockroom-page')).StockroomPage },
  { path: 'schools', title: 'Schools · Yardland', loadComponent: async () => (await import('./schools/schools-page')).SchoolsPage },
  { path: 'gauges', title: 'Gauges · Yardland', loadComponent: async () => (await import('./gauges/gauges-page')).GaugesPage },
  { path: 'day', title: 'Day · Yardland', loadComponent: async () => (await import('./day/day-page')).DayPage },
  { path: 'book', title: 'Book · Yardland', loadComponent: async () => (await import('./book/book-page')).BookPage },
  {
    path: 'jobs/:id',
    // The core's thread starts while the page's scripts are still on their way.
    canMatch: [() => inject(CoreThread).warmUp()],
    loadComponent: async () => (await import('./job/job-page')).JobPage,
    children: [
      { path: '', pathMatch: 'full', redirectTo: '1/template' },
      {
        path: ':cushion',
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'template' },
          { path: 'look-over', title: 'Look over · Yardland', loadComponent: async () => (await import('./look-over/look-over-station')).LookOverStation },
          { path: 'filling', title: 'Filling · Yardland', loadComponent: async () => (await import('./filling/filling-station')).FillingStation },
          { path: 'template', title: 'Template · Yardland', loadComponent: async () => (await import('./template/template-station')).TemplateStation },
          { path: 'build', title: 'Build · Yardland', loadComponent: async () => (await import('./build/build-station')).BuildStation },
          { path: 'cover', title: 'Cover · Yardland', loadComponent: async () => (await import('./cover/cover-station')).CoverStation },
          { path: 'lay', title: 'Lay · Yardland', loadComponent: async () => (await import('./lay/lay-station')).LayStation },
          { path: 'bench', title: 'Bench · Yardland', loadComponent: async () => (await import('./bench/bench-station')).BenchStation },
          { path: 'check', title: 'Check · Yardland', loadComponent: async () => (await import('./check/check-station')).CheckStation },
        ],
      },
    ],
  },
  { path: '**', title: 'Not found · Yardland', loadComponent: async () => (await import('./shell/not-found')).NotFound },
];
