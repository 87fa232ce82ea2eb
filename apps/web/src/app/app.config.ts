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
import * as benchEffects from './workspace/state/workspace.effects';
import * as reviewEffects from './workspace/state/review.effects';
import * as openingEffects from './workspace/state/opening.effects';
import * as savingEffects from './workspace/state/saving.effects';
import * as splitEffects from './workspace/state/split.effects';
import { workspaceFeature } from './workspace/state/workspace.feature';
import * as clientsEffects from './clients/state/clients.effects';
import { clientsFeature } from './clients/state/clients.feature';
import * as historyEffects from './workspace/state/history.effects';
import { historyFeature } from './workspace/state/history.feature';
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
    provideState(clientsFeature),
    provideState(workspaceFeature),
    provideState(historyFeature),
    provideEffects(
      sessionEffects,
      clientsEffects,
      benchEffects,
      openingEffects,
      savingEffects,
      splitEffects,
      reviewEffects,
      historyEffects,
    ),
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
