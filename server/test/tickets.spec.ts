import type { planJson } from '@yardland/core';
import { extractText, getDocumentProxy } from 'unpdf';
import { demoJob, running } from './support';

type PlanLay = ReturnType<typeof planJson>['lays'][number];

describe('a ticket', () => {
  it('is a PDF with a stamp, for each cushion of a job in either units, and says how many pages it has', async () => {
    const app = await running();
    const { jobs } = (await app.get('/api/jobs')).body;
    for (const job of jobs.slice(0, 3)) {
      const { status, body, headers } = await app.get(`/api/jobs/${job.id}/tickets/1.pdf`);
      expect(status).toBe(200);
      expect(headers.get('content-type')).toBe('application/pdf');
      const text = (body as Buffer).toString('latin1');
      expect(text.startsWith('%PDF-')).toBeTrue();
      const { text: pages } = await extractText(await getDocumentProxy(new Uint8Array(body as Buffer)));
      expect(pages.length).toBe(text.match(/\/Type \/Page\b/g)?.length ?? 0);
      expect(pages.at(-1)).toContain(`page ${pages.length} of ${pages.length}`);
      expect(pages[0]).toMatch(/Stamp [0-9A-F]{6}/);
    }
    expect((await app.get(`/api/jobs/${jobs[0].id}/tickets/99.pdf`)).status).toBe(404);
    expect((await app.get(`/api/jobs/${jobs[0].id}/tickets/0.pdf`)).status).toBe(404);
    await app.stop();
  }, 60_000);

  it('has its template full size: tiles with a map, or one sheet off a roll', async () => {
    const app = await running();
    const [job] = (await app.get('/api/jobs?search=Gallery')).body.jobs;
    const pages = async (query: string) => {
      const { status, body } = await app.get(`/api/jobs/${job.id}/templates/1.pdf${query}`);
      expect(status).toBe(200);
      const text = (body as Buffer).toString('latin1');
      return { many: text.match(/\/Type \/Page\b/g)?.length ?? 0, box: /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)?.slice(1).map(Number) ?? [] };
    };
    // A bench of 1172 × 473 on A4 with 186 × 273 mm a tile, 10 mm lapped: 7 × 2 tiles, and the map.
    expect((await pages('?paper=a4')).many).toBe(15);
    expect((await pages('?paper=a3&size=core')).many).toBe(11);
    const roll = await pages('?rollWidthMm=1300');
    expect([roll.many, Math.round((roll.box[0] ?? 0) / (72 / 25.4))]).toEqual([1, 1300]);
    expect((await app.get(`/api/jobs/${job.id}/templates/1.pdf?paper=b5`)).body.path).toBe('paper');
    expect((await app.get(`/api/jobs/${job.id}/templates/99.pdf`)).status).toBe(404);
    await app.stop();
  }, 60_000);

  it('refuses a print of more pages than anybody tapes together, at once and in words', async () => {
    const app = await running();
    const [listed] = (await app.get('/api/jobs?search=Gallery')).body.jobs;
    const { job } = (await app.get(`/api/jobs/${listed.id}`)).body;
    const round = { ...job, cushions: [{ ...job.cushions[0], template: { shape: 'round', diameterMm: 20_000 }, marks: [] }] };
    const { body: made } = await app.send('POST', '/api/jobs', { job: round });
    const { status, body } = await app.get(`/api/jobs/${made.id}/templates/1.pdf?paper=a4`);
    expect([status, body.code, body.path]).toEqual([422, 'print-too-many-pages', 'paper']);
    expect(body.message).toContain('at most 150 are printed');
    await app.stop();
  }, 60_000);

  it('prints any piece by its id, from the solved plan: a plate domed for its crown is as large as the ticket says', async () => {
    const app = await running();
    const job = (await app.get('/api/jobs?search=Crowned')).body.jobs[0];
    const { body: plan } = await app.get(`/api/jobs/${job.id}/plan`);
    const index = plan.cushions.findIndex((one: { name: string }) => one.name.startsWith('Crowned'));
    const top = plan.cushions[index].pieces.find((one: { id: string }) => one.id === 'plate-top');
    const roll = async (query: string): Promise<number[]> => {
      const { status, body } = await app.get(`/api/jobs/${job.id}/templates/${index + 1}.pdf?rollWidthMm=1300${query}`);
      expect(status).toBe(200);
      const [, , deep = 0] = /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec((body as Buffer).toString('latin1')) ?? [];
      return [Math.round((Number(deep) * 25.4) / 72 - 24 - 120)];
    };
    // The flat plate is 540 + 2 × 13 = 566 deep; domed for a crown of 30 it is cut deeper.
    expect(Math.round(top.heightMm)).toBe(571);
    expect(await roll('&piece=plate-top')).toEqual([571]);
    expect(await roll('&size=cut')).toEqual([571]);
    expect(await roll('&piece=plate-bottom')).toEqual([566]);
    expect((await app.get(`/api/jobs/${job.id}/templates/${index + 1}.pdf?piece=nothing`)).status).toBe(404);
    await app.stop();
  }, 60_000);

  it('rests on the same plan that the server gives as JSON, its lays worked out', async () => {
    const app = await running();
    const [job] = (await app.get('/api/jobs?search=Storage')).body.jobs;
    const { body } = await app.get(`/api/jobs/${job.id}/plan`);
    expect(body.format).toBe('yardland/plan@1');
    expect(body.lays.length).toBeGreaterThan(2);
    expect(body.lays.every((lay: PlanLay) => lay.answer?.unplaced.length === 0)).toBeTrue();
    await app.stop();
  }, 60_000);

  it('sends the order of a job’s foam as a page and as a table', async () => {
    const app = await running();
    const { body } = await app.send('POST', '/api/jobs', { job: demoJob('storage-chest') });
    const page = await app.get(`/api/jobs/${body.id}/order-sheet.pdf`);
    expect([page.status, page.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    const table = await app.get(`/api/jobs/${body.id}/order-sheet.csv`);
    expect([table.status, table.headers.get('content-type')]).toEqual([200, 'text/csv; charset=utf-8']);
    expect(table.headers.get('content-disposition')).toContain('order-sheet.csv');
    expect((await app.get(`/api/jobs/${body.id}/order-sheet.csv?x=1`)).status).toBe(400);
    await app.stop();
  }, 60_000);
});
