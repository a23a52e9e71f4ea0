import { served } from './served.ts';
const app = await served(4772);
try {
  const page = await app.browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${app.base}/jobs/${app.jobId('Foyer long seat')}`);
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Look over/ }).click();
  await page.waitForTimeout(2500);
  await page.getByText('Several into one', { exact: true }).click();
  await page.getByRole('button', { name: 'to join these, why' }).click();
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/w/a1.png' });
  await page.goto(`${app.base}/jobs/${app.jobId('Prompt-side boxes')}`);
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Lay/ }).click();
  await page.waitForTimeout(9000);
  await page.screenshot({ path: '/tmp/w/a2.png' });
  const pdf = await page.request.get(`${app.base}/api/jobs/${app.jobId('Prompt-side boxes')}/order-sheet.pdf`);
  (await import('node:fs')).writeFileSync('/tmp/w/o.pdf', await pdf.body());
} finally { await app.stop(); }
