import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { jobSchema, openShop, planSolved, shopSchema, type Job, type Plan, type Shop } from '@yardland/core';
import boxes from '../../../../demo/jobs/prompt-side-boxes.json';
import stalls from '../../../../demo/jobs/stalls-benches.json';
import shopJson from '../../../../demo/shop.json';
import { MEASURES } from '../shared/controls/measures';
import { AdviceStore } from '../job/solving/advice-store';
import { JobStore } from '../job/job-store';
import { hereWorkers } from './here-worker';

export const demoShop: Shop = openShop(shopSchema.parse(shopJson));
export const boxesJob: Job = jobSchema.parse(boxes);
export const stallsJob: Job = jobSchema.parse(stalls);

/** A job's plan with all its lays worked out. */
export function solvedPlan(job: Job): Plan {
  return planSolved(job, demoShop);
}

const ID = '00000000-0000-4000-8000-000000000002';

/** A store with the job open, as if the server had answered; further requests are the caller's to look at. */
export function openedStore(job: Job = boxesJob): { store: JobStore; http: HttpTestingController } {
  TestBed.configureTestingModule({
    providers: [
      provideHttpClient(),
      provideHttpClientTesting(),
      provideRouter([]),
      hereWorkers(),
      JobStore,
      AdviceStore,
      { provide: MEASURES, useExisting: JobStore },
    ],
  });
  // What an earlier spec could not send would otherwise go on here.
  localStorage.clear();
  const store = TestBed.inject(JobStore);
  const http = TestBed.inject(HttpTestingController);
  store.open(ID);
  http.expectOne(`/api/jobs/${ID}`).flush({ id: ID, revision: 1, archived: false, undo: null, redo: null, job });
  http.expectOne('/api/shop').flush({ revision: 1, shop: shopJson });
  TestBed.tick();
  return { store, http };
}
