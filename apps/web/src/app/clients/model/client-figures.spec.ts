import { TestBed } from '@angular/core/testing';
import { Subject, throwError } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { ClientFigures } from './client-figures';

describe('the last figures of clients', () => {
  const answers = new Map<string, Subject<unknown>>();
  const figures = () => {
    answers.clear();
    const ask = (name: string, { clientId }: { readonly clientId: string }) => {
      if (clientId === 'away') return throwError(() => new Error('away'));
      const answer = new Subject<unknown>();
      answers.set(`${name} ${clientId}`, answer);
      return answer;
    };
    TestBed.configureTestingModule({
      providers: [ClientFigures, { provide: ApiService, useValue: { ask } }],
    });
    const model = TestBed.inject(ClientFigures);
    return {
      model,
      askAbout: (...ids: string[]) => {
        model.of.set(ids);
        TestBed.tick();
      },
    };
  };
  const answer = (of: string, said: unknown): void => {
    answers.get(of)?.next(said);
    answers.get(of)?.complete();
  };

  it('are not known until they came, and then said, each by itself', () => {
    const { model, askAbout } = figures();
    askAbout('cider', 'studio');
    expect(model.figuresOf('cider')).toBeUndefined();
    answer('figures cider', { netProfit: 5 });
    expect(model.figuresOf('cider')).toEqual({ netProfit: 5 });
    expect(model.figuresOf('studio')).toBeUndefined();
    expect(model.checkOf('cider')).toBeUndefined();
  });

  it('are none where the books say nothing, or cannot be read', () => {
    const { model, askAbout } = figures();
    askAbout('club', 'away');
    answer('figures club', null);
    expect(model.figuresOf('club')).toBeNull();
    expect(model.figuresOf('away')).toBeNull();
    expect(model.checkOf('away')).toBeNull();
  });

  it('are asked for of three clients at once, and of the next when one came', () => {
    const { askAbout } = figures();
    askAbout('a', 'b', 'c', 'd');
    expect([...answers.keys()].filter((key) => key.startsWith('figures'))).toHaveLength(3);
    answer('figures a', null);
    expect(answers.has('figures d')).toBe(true);
  });
});
