import { browserStorage } from './storage';

const PENDING = 'carnelian-pending';

describe('documents in the browser', () => {
  beforeEach(() => localStorage.clear());

  it('come back as written, and go when they are taken out', async () => {
    const storage = browserStorage();
    await storage.write({ a: '1', b: '2' });
    await storage.write({ b: null });
    expect(await storage.readAll()).toMatchObject({ a: '1' });
    expect(await storage.readAll()).not.toHaveProperty('b');
    expect(localStorage.getItem(PENDING)).toBeNull();
  });

  it('come back though the page went while they were being written', async () => {
    localStorage.setItem(PENDING, JSON.stringify({ c: '3' }));
    expect(await browserStorage().readAll()).toMatchObject({ c: '3' });
    expect(localStorage.getItem(PENDING)).toBeNull();
  });

  it('are put down before the write begins', () => {
    void browserStorage().write({ d: '4' });
    expect(JSON.parse(localStorage.getItem(PENDING) ?? '{}')).toEqual({ d: '4' });
  });

  it('do without what cannot be read', async () => {
    localStorage.setItem(PENDING, 'not JSON');
    expect(await browserStorage().readAll()).toBeTruthy();
  });
});
