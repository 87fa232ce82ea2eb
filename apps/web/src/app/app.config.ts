import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import {
  type ApplicationConfig,
  computed,
  inject,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import {
  PreloadAllModules,
  provideRouter,
  withComponentInputBinding,
  withPreloading,
  withRouterConfig,
} from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { providePrimeNG } from 'primeng/config';
import { ROUTES } from './app.routes';
import * as sessionEffects from './session/state/session.effects';
import { expiredInterceptor } from './session/state/expired.interceptor';
import { sessionFeature } from './session/state/session.feature';
import { KEEPER } from './shared/keeping/kept-by-window';
import { retryInterceptor } from './shared/api/retry.interceptor';
import { IUNCTUS_PRESET } from './shared/theme/preset';

export const APP_CONFIG: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideZonelessChangeDetection(),
    provideHttpClient(withFetch(), withInterceptors([expiredInterceptor, retryInterceptor])),
    provideRouter(
      ROUTES,
      withComponentInputBinding(),
      // Every place is there before it is wanted, also while the server is away.
      withPreloading(PreloadAllModules),
      withRouterConfig({ paramsInheritanceStrategy: 'always' }),
    ),
    {
      provide: KEEPER,
      useFactory: () => {
        const session = inject(Store).selectSignal(sessionFeature.selectSession);
        return computed(() => session()?.user.id ?? '');
      },
    },
    provideStore(
      {},
      {
        runtimeChecks: {
          strictStateSerializability: true,
          strictActionSerializability: true,
          strictActionWithinNgZone: false,
          strictActionTypeUniqueness: true,
        },
      },
    ),
    provideState(sessionFeature),
    provideEffects(sessionEffects),
    providePrimeNG({
      theme: {
        preset: IUNCTUS_PRESET,
        options: {
          darkModeSelector: '.dark',
          cssLayer: { name: 'primeng', order: 'primeng, app' },
        },
      },
    }),
  ],
};
