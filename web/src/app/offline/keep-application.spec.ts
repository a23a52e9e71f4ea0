import { keepApplication } from './keep-application';

/** A registration with a worker on its way, and what it was told. */
function registration() {
  const told: unknown[] = [];
  const installing = new EventTarget();
  const target = Object.assign(new EventTarget(), { installing, waiting: null as { postMessage: (message: unknown) => void } | null });
  return { target, installing, told, worker: { postMessage: (message: unknown) => void told.push(message) } };
}

describe('the application kept on a device', () => {
  it('says a newer one that waits for all windows to be closed, and lets it take over where that is wished', async () => {
    const { target, installing, told, worker } = registration();
    const container = Object.assign(new EventTarget(), { controller: {}, register: () => Promise.resolve(target) });
    spyOnProperty(navigator, 'serviceWorker').and.returnValue(container as never);
    const said: (() => void)[] = [];
    keepApplication({ say: (load) => said.push(load as () => void) });
    await Promise.resolve();
    await Promise.resolve();
    expect(said.length).toBe(0);
    target.dispatchEvent(new Event('updatefound'));
    target.waiting = worker;
    installing.dispatchEvent(new Event('statechange'));
    expect([said.length, told]).toEqual([1, []]);
    said[0]?.();
    expect(told).toEqual([{ kind: 'take-over' }]);
  });
});
