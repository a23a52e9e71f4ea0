import { running, type Running } from './support';

describe('codes of papers', () => {
  let app: Running;
  beforeAll(async () => (app = await running({ reached: { address: 'https://lantern-house.local:4820', authority: null } })));
  afterAll(() => app.stop());

  const goesTo = async (place: string): Promise<string> => {
    const response = await fetch(app.url + place, { redirect: 'manual' });
    return response.status === 302 ? (response.headers.get('location') ?? '') : String(response.status);
  };

  it('lead to the station, the step or the piece, in capitals too, and nowhere for what is not there', async () => {
    const { jobs } = (await app.get('/api/jobs')).body as { jobs: { id: string }[] };
    const { id } = jobs[0]!;
    const short = id.slice(0, 8);
    expect(await goesTo(`/q/${short}/2/bench`)).toBe(`/jobs/${id}/2/bench`);
    expect(await goesTo(`/Q/${short.toUpperCase()}/1/S/SEW/WELT`)).toBe(`/jobs/${id}/1/bench?at=sew%2Fwelt`);
    expect(await goesTo(`/q/${short}/1/p/TOP%20PLATE`)).toBe(`/jobs/${id}/1/bench?at=top%20plate`);
    expect([await goesTo('/q/00000000/1/bench'), await goesTo(`/q/${short}/one/bench`), await goesTo(`/q/%25/1/bench`)]).toEqual(['404', '404', '404']);
    expect(await goesTo(`/q/${short}/1/https://elsewhere.example`)).not.toMatch(/^https?:/);
  });
});
