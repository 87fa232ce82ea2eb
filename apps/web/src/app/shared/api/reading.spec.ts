import { HttpTestingController } from '@angular/common/http/testing';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { refuse, settled, testServer, waitingAt } from '../../../testing/test-server';
import { ApiService } from './api.service';
import { reading } from './reading';

describe('reading what one page shows', () => {
  const client = signal<string | undefined>('a');
  const begin = () => {
    client.set('a');
    TestBed.configureTestingModule({ providers: [...testServer] });
    return TestBed.runInInjectionContext(() => {
      const api = TestBed.inject(ApiService);
      return reading(
        () => client(),
        (clientId) => api.ask('origin', { clientId }),
      );
    });
  };
  const from = (name: string) => ({ keptChartId: 'k', name, version: 1, latest: 1, ids: {} });

  it('is under way until the answer is there', async () => {
    const origin = begin();
    await settled();
    expect([origin.loading(), origin.value()]).toEqual([true, null]);
    waitingAt('/api/clients/a/origin').flush(null);
    await settled();
    expect([origin.loading(), origin.problem()]).toEqual([false, null]);
  });

  it('says why it failed, and can be tried again', async () => {
    const origin = begin();
    await settled();
    refuse(waitingAt('/api/clients/a/origin'), 'notFound', 404);
    await settled();
    expect(origin.problem()).toMatchObject({ code: 'notFound' });
    origin.again();
    await settled();
    waitingAt('/api/clients/a/origin').flush(null);
    await settled();
    expect(origin.problem()).toBeNull();
  });

  it('lets go of an answer that a newer question has overtaken', async () => {
    begin();
    await settled();
    const first = waitingAt('/api/clients/a/origin');
    client.set('b');
    await settled();
    expect(first.cancelled).toBe(true);
    waitingAt('/api/clients/b/origin').flush(from('Drinks makers'));
  });

  it('asks nothing while there is no question', async () => {
    begin();
    client.set(undefined);
    await settled();
    TestBed.inject(HttpTestingController).expectNone(() => true);
  });
});
