import { Kills } from './support/kills';

describe('a server and a database that are killed amid adopting, posting and taking back', () => {
  it('lose nothing that was acknowledged, leave nothing half-written, and the server never ends by itself', async () => {
    const kills = await Kills.prepare('kills');
    const report = await kills.run({ server: 4, postgres: 4, say: () => undefined });
    await kills.end();
    expect(report).toMatchObject({ lost: [], broken: [], ended: 0 });
    expect(report.acknowledged).toBeGreaterThan(5);
    expect(report.unanswered).toBeGreaterThan(0);
  }, 180_000);
});
