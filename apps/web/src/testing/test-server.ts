import { provideHttpClient } from '@angular/common/http';
import {
  HttpTestingController,
  provideHttpClientTesting,
  type TestRequest,
} from '@angular/common/http/testing';
import type { EnvironmentProviders, Provider } from '@angular/core';
import { TestBed } from '@angular/core/testing';

/** What lets a test answer for the server. */
export const testServer: readonly (Provider | EnvironmentProviders)[] = [
  provideHttpClient(),
  provideHttpClientTesting(),
];

/** The one request that waits at an address. */
export const waitingAt = (address: string): TestRequest =>
  TestBed.inject(HttpTestingController).expectOne(address);

/** Whether nothing has been asked of the server. */
export const nothingAsked = (): void => TestBed.inject(HttpTestingController).verify();

/** An answer that says no with a code of the contract. */
export const refuse = (request: TestRequest, code: string, status = 409): void =>
  request.flush({ code }, { status, statusText: code });

/** Lets pending promises and changes settle. */
export const settled = async (): Promise<void> => {
  TestBed.tick();
  await new Promise((resolve) => setTimeout(resolve));
  TestBed.tick();
};
