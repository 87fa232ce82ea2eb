import '@angular/localize/init';
import { randomUUID } from 'node:crypto';
import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';

setupZonelessTestEnv({ errorOnUnknownElements: true, errorOnUnknownProperties: true });

class ResizeObserverStub {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

Object.assign(globalThis, { ResizeObserver: ResizeObserverStub });
Object.assign(globalThis.crypto, { randomUUID });
